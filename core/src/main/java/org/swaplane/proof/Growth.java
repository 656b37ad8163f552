package org.swaplane.proof;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.document.Limits;
import org.swaplane.document.Segment;
import org.swaplane.document.TargetRule;
import org.swaplane.format.FormatTraits;
import org.swaplane.proof.Proof.Detail;
import org.swaplane.wording.Phrase;

/** Which segments break their limits when their text grows as translations do. */
final class Growth {
    private final List<Detail> details = new ArrayList<>();

    /** Looks at one segment and the grown text of it. */
    void add(int index, Segment segment, String grown) {
        Limits limits = segment.limits();
        int length = grown.codePointCount(0, grown.length());
        if (limits.maxCharacters() > 0 && length > limits.maxCharacters()) {
            add(index, segment, "proof.growth.characters", length, limits.maxCharacters());
        }
        int bytes = grown.getBytes(StandardCharsets.UTF_8).length;
        if (limits.maxBytes() > 0 && bytes > limits.maxBytes()) {
            add(index, segment, "proof.growth.bytes", bytes, limits.maxBytes());
        }
        for (TargetRule rule : segment.about().rules()) {
            if (rule.kind() == TargetRule.Kind.LONGEST_LINE) {
                int longest = grown.lines()
                        .mapToInt(line -> line.codePointCount(0, line.length()))
                        .max()
                        .orElse(0);
                if (longest > rule.occurs()) {
                    add(index, segment, "proof.growth.line", longest, rule.occurs());
                }
            }
        }
    }

    /** A text that fitted its column or box before and does not any more. */
    void addOverflow(String format, String place, String text) {
        details.add(new Detail(
                place,
                Phrase.of(
                        FormatTraits.of(format).markup() == FormatTraits.Markup.OFFICE_SHEETS
                                ? "proof.growth.column"
                                : "proof.growth.box",
                        text)));
    }

    private void add(int index, Segment segment, String key, int length, int most) {
        details.add(new Detail(
                segment.key(), Phrase.of(key, length, most, segment.source().plainText()), index));
    }

    Proof proof() {
        return Proof.unlessFound("growth", details);
    }
}
