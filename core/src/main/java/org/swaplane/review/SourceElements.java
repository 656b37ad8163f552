package org.swaplane.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.check.CheckedSegment;
import org.swaplane.content.UnspacedScript;
import org.swaplane.number.NumberReader;
import org.swaplane.number.NumberWriter;
import org.swaplane.number.ReadNumber;
import org.swaplane.placeholder.Placeholders;

/** What of a source goes into its target as it is or nearly so: placeholders, numbers in the notation of the target, names. */
public final class SourceElements {
    /** Capitalised words, but for the first of a sentence. */
    private static final Pattern NAME =
            Pattern.compile("(?<=[\\p{L}\\p{N},;:)] )\\p{Lu}[\\p{L}\\p{M}]+(?:[ -]\\p{Lu}[\\p{L}\\p{M}]+)*");

    private SourceElements() {}

    private record Element(int at, String written) {}

    /** Those that the target does not have yet, in the order of the source. */
    public static List<String> missing(CheckedSegment segment) {
        String source = segment.sourceText();
        String target = segment.targetText();
        List<Element> elements = new ArrayList<>();
        Placeholders placeholders = new Placeholders();
        placeholders.find(source).forEach(found -> elements.add(new Element(found.start(), found.written())));
        String masked = placeholders.mask(source, ' ');
        NumberWriter writer = new NumberWriter(segment.targetLanguage());
        for (ReadNumber number : NumberReader.of(segment.sourceLanguage()).read(masked)) {
            elements.add(new Element(number.start(), writer.written(number)));
        }
        if (!UnspacedScript.isIn(source)) {
            Matcher names = NAME.matcher(masked);
            while (names.find()) {
                elements.add(new Element(names.start(), names.group()));
            }
        }
        elements.sort(Comparator.comparingInt(Element::at));
        String left = target;
        List<String> missing = new ArrayList<>();
        for (Element each : elements) {
            int there = left.indexOf(each.written());
            if (there >= 0) {
                // The same thing twice in the source is wanted twice.
                left = left.substring(0, there)
                        + left.substring(there + each.written().length());
            } else {
                missing.add(each.written());
            }
        }
        return missing;
    }
}
