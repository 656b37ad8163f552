package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.format.IcuMessage;
import org.swaplane.number.NumberReader;
import org.swaplane.number.ReadNumber;
import org.swaplane.placeholder.Placeholders;

/**
 * Which number of the target stands for which of the source; the one answer for the check and for the pairing strip.
 *
 * @param source all numbers of the source, each read in the notation of its language
 * @param target likewise
 * @param pairs those that are the same value
 * @param missing numbers of the source that have no counterpart, not in another writing either
 * @param added the same of the target
 */
record NumberMatching(
        List<ReadNumber> source,
        List<ReadNumber> target,
        List<Pair> pairs,
        List<ReadNumber> missing,
        List<ReadNumber> added) {
    /** Stands for each character of a placeholder. */
    private static final char MASKED = '\uFFFC';

    NumberMatching {
        source = List.copyOf(source);
        target = List.copyOf(target);
        pairs = List.copyOf(pairs);
        missing = List.copyOf(missing);
        added = List.copyOf(added);
    }

    record Pair(ReadNumber source, ReadNumber target) {}

    static String masked(String text, Placeholders placeholders) {
        return placeholders.mask(text, MASKED);
    }

    static NumberMatching of(CheckedSegment segment, Placeholders placeholders) {
        List<ReadNumber> source =
                NumberReader.of(segment.sourceLanguage()).read(masked(segment.sourceText(), placeholders));
        List<ReadNumber> target =
                NumberReader.of(segment.targetLanguage()).read(masked(segment.targetText(), placeholders));
        List<ReadNumber> missing = new ArrayList<>(source);
        List<ReadNumber> added = new ArrayList<>();
        List<Pair> pairs = new ArrayList<>();
        for (ReadNumber number : target) {
            missing.stream()
                    .filter(each -> isSame(each, number, segment))
                    .findFirst()
                    .ifPresentOrElse(
                            each -> {
                                missing.remove(each);
                                pairs.add(new Pair(each, number));
                            },
                            () -> added.add(number));
        }
        if (!missing.isEmpty() || !added.isEmpty()) {
            settle(segment, missing, added);
        }
        return new NumberMatching(source, target, pairs, missing, added);
    }

    private static void settle(CheckedSegment segment, List<ReadNumber> missing, List<ReadNumber> added) {
        OtherWritings.settle(
                new UnmatchedNumbers(segment.sourceText(), segment.sourceLanguage(), missing),
                new UnmatchedNumbers(segment.targetText(), segment.targetLanguage(), added));
        boolean written = missing.stream().anyMatch(number -> Codes.isOfWord(segment.sourceText(), number));
        boolean instead = added.stream().anyMatch(number -> Codes.isOfWord(segment.targetText(), number));
        if (written != instead) {
            missing.removeIf(number -> Codes.isOfWord(segment.sourceText(), number));
            added.removeIf(number -> Codes.isOfWord(segment.targetText(), number));
        }
        if (IcuMessage.mayHaveVariants(segment.sourceText())) {
            missing.removeIf(NumberMatching::isSelected);
            added.removeIf(NumberMatching::isSelected);
        }
    }

    /** A small number in a message may be that of a variant which only one of the languages has. */
    private static boolean isSelected(ReadNumber number) {
        return number.written().length() == 1;
    }

    private static boolean isSame(ReadNumber source, ReadNumber target, CheckedSegment segment) {
        if (Codes.isVersion(segment.sourceText(), source)) {
            return source.written().equals(target.written());
        }
        if (source.values().isEmpty()) {
            // An author who writes numbers as another language does; perhaps as that of the target.
            List<ReadNumber> again = NumberReader.of(segment.targetLanguage()).read(source.written());
            return source.written().equals(target.written())
                    || again.size() == 1 && again.get(0).agreesWith(target);
        }
        return source.agreesWith(target) && !Codes.differ(segment.sourceText(), source, target);
    }
}
