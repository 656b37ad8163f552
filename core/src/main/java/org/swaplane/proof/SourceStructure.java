package org.swaplane.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.Text;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Segment;
import org.swaplane.format.FormatTraits;
import org.swaplane.proof.Proof.Detail;
import org.swaplane.segmentation.Segmentation;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.wording.Phrase;

/** What in the source will cost every language: odd segmentation, too many tags, and defects of the text. */
final class SourceStructure {
    private static final int MANY_TAGS = 8;
    private static final int UNSPLIT_LENGTH = 300;
    private static final int UNSPLIT_SENTENCES = 4;
    private static final int CUT_LENGTH = 30;
    private static final int CUTS_IN_A_ROW = 3;
    private static final String PREFORMATTED = "pre ";
    private static final char FIRST_GREEK = '\u0370';
    private static final char TAG = '\uFFFC';
    private static final Set<String> BREAKS = Set.of("br", "cr");
    private static final Pattern DOUBLE_SPACE = Pattern.compile("\\S {2,}\\S");
    private static final Pattern BROKEN_LINE = Pattern.compile("[\\p{Ll},][ \\t]*\\R[ \\t]*\\p{Ll}");
    private static final Pattern MIXED =
            Pattern.compile("(?<!\\p{L})(?=\\p{L}*\\p{IsLatin})(?=\\p{L}*[\\p{IsCyrillic}\\p{IsGreek}])\\p{L}{3,}");
    private static final Pattern PRINTF = Pattern.compile("%[^{(].*");

    private final BilingualDocument document;
    private final boolean isDocument;
    private final Map<String, Segmentation> segmentations = new HashMap<>();
    private final List<Detail> details = new ArrayList<>();
    private final Map<String, List<Integer>> placeholders = new TreeMap<>();
    private int cuts;

    /** @param isDocument whether it was cut here, by rules that were chosen */
    SourceStructure(BilingualDocument document, boolean isDocument) {
        this.document = document;
        this.isDocument = isDocument;
    }

    Proof proof() {
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            Content source = segment.source();
            String text = source.plainText();
            tags(i, source);
            sentences(i, text);
            if (!segment.unit().startsWith(PREFORMATTED)) {
                defects(i, withTags(source));
            }
            collectPlaceholders(i, source);
        }
        inconsistentPlaceholders();
        return Proof.unlessFound("structure", details);
    }

    private void tags(int index, Content source) {
        int tags = source.tags().size();
        if (tags >= MANY_TAGS && tags > 2 * Counts.words(source.plainText())) {
            add(index, "proof.structure.tags", tags);
        }
    }

    private void sentences(int index, String text) {
        if (!isDocument && text.length() >= UNSPLIT_LENGTH) {
            String language =
                    document.parts().get(document.segments().get(index).part()).sourceLanguage();
            int sentences = segmentations
                    .computeIfAbsent(language, code -> new Segmentation(SegmentationRules.shipped(), code))
                    .split(Content.of(text))
                    .segments()
                    .size();
            if (sentences >= UNSPLIT_SENTENCES) {
                add(index, "proof.structure.unsplit", sentences);
            }
        }
        boolean cut = index > 0
                && isCutBetween(document.segments().get(index - 1).source().plainText(), text);
        cuts = cut ? cuts + 1 : 0;
        if (cuts == CUTS_IN_A_ROW) {
            for (int i = index - CUTS_IN_A_ROW + 1; i < index; i++) {
                add(i, "proof.structure.cut", 0);
            }
        }
        if (cuts >= CUTS_IN_A_ROW) {
            add(index, "proof.structure.cut", 0);
        }
    }

    /** A line that ends in the middle and one that goes on. */
    private boolean isCutBetween(String before, String text) {
        return FormatTraits.of(document.format()).goesOn()
                && before.length() >= CUT_LENGTH
                && !text.isEmpty()
                && Character.isLowerCase(text.codePointAt(0))
                && (Character.isLowerCase(before.codePointBefore(before.length())) || before.endsWith(","));
    }

    private void defects(int index, String text) {
        if (text.contains("  ") && DOUBLE_SPACE.matcher(text).find()) {
            add(index, "proof.structure.double-space", 0);
        }
        if (!FormatTraits.of(document.format()).hasLines()
                && text.indexOf('\n') >= 0
                && BROKEN_LINE.matcher(text).find()) {
            add(index, "proof.structure.broken-line", 0);
        }
        if (hasOtherLetters(text) && MIXED.matcher(text).find()) {
            add(index, "proof.structure.mixed-scripts", 0);
        }
    }

    private static boolean hasOtherLetters(String text) {
        return text.chars().anyMatch(c -> c >= FIRST_GREEK && c != TAG);
    }

    /** The text with a character for each tag: a line break for one that breaks the line. */
    private static String withTags(Content source) {
        StringBuilder text = new StringBuilder();
        for (Run run : source.runs()) {
            if (run instanceof Text each) {
                text.append(each.value());
            } else if (run instanceof Tag tag) {
                text.append(BREAKS.contains(tag.id().replaceFirst(":.*", "")) ? '\n' : TAG);
            }
        }
        return text.toString();
    }

    private void collectPlaceholders(int index, Content source) {
        for (Tag tag : source.tags()) {
            String code = tag.code();
            if (tag.id().startsWith(Tag.PLACEHOLDER) && !code.isEmpty()) {
                String style = PRINTF.matcher(code).matches()
                        ? "%"
                        : code.startsWith("{{") ? "{{" : code.startsWith("${") ? "${" : code.startsWith("{") ? "{" : "";
                if (!style.isEmpty()) {
                    placeholders
                            .computeIfAbsent(style, none -> new ArrayList<>())
                            .add(index);
                }
            }
        }
    }

    /** Several styles in one file: all but the most frequent are listed. */
    private void inconsistentPlaceholders() {
        int most = placeholders.values().stream().mapToInt(List::size).max().orElse(0);
        boolean first = true;
        for (List<Integer> segments : placeholders.values()) {
            if (first && segments.size() == most) {
                first = false;
            } else {
                segments.stream().distinct().forEach(index -> add(index, "proof.structure.placeholders", 0));
            }
        }
    }

    private void add(int index, String key, int number) {
        Segment segment = document.segments().get(index);
        details.add(new Detail(
                segment.key(), Phrase.of(key, number, TagNotation.write(segment.source(), segment.source())), index));
    }
}
