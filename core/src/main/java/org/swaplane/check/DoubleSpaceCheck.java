package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.wording.Phrase;

/** Two spaces in a row within the target, where the source has none. */
final class DoubleSpaceCheck extends TextCheck {
    private static final Pattern SPACES = Pattern.compile("(?<=\\S) {2,}(?=\\S)");

    DoubleSpaceCheck() {
        super("double-space");
    }

    @Override
    List<Finding> find(Texts texts) {
        if (!texts.target().contains("  ") || texts.source().contains("  ")) {
            return List.of();
        }
        List<Span> spans = new ArrayList<>();
        Content fixed = texts.segment().target();
        int at = 0;
        for (Run run : texts.segment().target().runs()) {
            // A tag between two spaces parts them.
            if (run instanceof Text text) {
                Matcher spaces = SPACES.matcher(text.value());
                while (spaces.find()) {
                    spans.add(new Span(at + spaces.start(), at + spaces.end()));
                }
            }
            at += run.length();
        }
        for (int i = spans.size() - 1; i >= 0; i--) {
            fixed = fixed.replaceText(spans.get(i).start(), spans.get(i).end(), " ");
        }
        return spans.isEmpty() ? List.of() : List.of(warning(texts, Phrase.of("check.double-space"), spans, fixed));
    }
}
