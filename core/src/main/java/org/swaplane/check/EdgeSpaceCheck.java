package org.swaplane.check;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.wording.Phrase;

/** White space at the begin or end that only one of the texts has. */
final class EdgeSpaceCheck extends TextCheck {
    EdgeSpaceCheck() {
        super("edge-space");
    }

    @Override
    List<Finding> find(Texts texts) {
        List<Finding> findings = new ArrayList<>();
        Content source = texts.segment().source();
        Content target = texts.segment().target();
        boolean tight = !texts.targetLanguage().hasSpaces();
        String begin = texts.source().substring(0, spaces(source.runs(), false));
        int targetBegin = spaces(target.runs(), false);
        if (differs(begin, texts.target().substring(0, targetBegin), tight)) {
            findings.add(warning(
                    texts,
                    Phrase.of("check.edge-space.begin"),
                    List.of(new Span(0, targetBegin)),
                    target.replaceText(0, targetBegin, begin)));
        }
        String end = texts.source().substring(texts.source().length() - spaces(reversed(source), true));
        int targetEnd = texts.target().length() - spaces(reversed(target), true);
        if (differs(end, texts.target().substring(targetEnd), tight)) {
            findings.add(warning(
                    texts,
                    Phrase.of("check.edge-space.end"),
                    List.of(new Span(targetEnd, texts.target().length())),
                    target.replaceText(targetEnd, texts.target().length(), end)));
        }
        return findings;
    }

    private static List<Run> reversed(Content content) {
        List<Run> runs = new ArrayList<>(content.runs());
        Collections.reverse(runs);
        return runs;
    }

    /** White space before anything else; a tag that stands alone is something, halves of pairs are nothing. */
    private static int spaces(List<Run> runs, boolean fromEnd) {
        int spaces = 0;
        for (Run run : runs) {
            if (run instanceof Text text) {
                String rest =
                        fromEnd ? text.value().stripTrailing() : text.value().stripLeading();
                spaces += text.value().length() - rest.length();
                if (!rest.isEmpty()) {
                    return spaces;
                }
            } else if (run instanceof Tag tag && tag.kind() == Tag.Kind.STANDALONE) {
                return spaces;
            }
        }
        return spaces;
    }

    /** A script without spaces needs none where a word would go on. */
    private static boolean differs(String source, String target, boolean tight) {
        return source.isEmpty() != target.isEmpty() && !(tight && target.isEmpty() && source.equals(" "));
    }
}
