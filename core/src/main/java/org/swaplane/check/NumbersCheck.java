package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.format.Message;
import org.swaplane.number.MonthNames;
import org.swaplane.number.NumberReader;
import org.swaplane.number.NumberWriter;
import org.swaplane.number.ReadNumber;
import org.swaplane.number.RomanNumerals;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.wording.Phrase;

/** Numbers, times and dates compared as values, each side read in the notation of its own language. */
final class NumbersCheck implements Check {
    /** Stands for each character of a placeholder. */
    private static final char MASKED = '\uFFFC';

    private final Placeholders placeholders;
    private final Map<String, NumberReader> readers = new ConcurrentHashMap<>();

    NumbersCheck(Placeholders placeholders) {
        this.placeholders = placeholders;
    }

    @Override
    public String id() {
        return "numbers";
    }

    @Override
    public List<Finding> check(CheckedSegment segment) {
        if (segment.target().isEmpty()) {
            return List.of();
        }
        String source = placeholders.mask(segment.sourceText(), MASKED);
        String target = placeholders.mask(segment.targetText(), MASKED);
        List<ReadNumber> missing = read(source, segment.sourceLanguage());
        List<ReadNumber> added = new ArrayList<>();
        for (ReadNumber number : read(target, segment.targetLanguage())) {
            missing.stream()
                    .filter(each -> isSame(each, number, segment))
                    .findFirst()
                    .ifPresentOrElse(missing::remove, () -> added.add(number));
        }
        if (!missing.isEmpty() || !added.isEmpty()) {
            OtherWritings.settle(
                    new UnmatchedNumbers(segment.sourceText(), segment.sourceLanguage(), missing),
                    new UnmatchedNumbers(segment.targetText(), segment.targetLanguage(), added));
        }
        boolean written = missing.stream().anyMatch(number -> Codes.isOfWord(segment.sourceText(), number));
        boolean instead = added.stream().anyMatch(number -> Codes.isOfWord(segment.targetText(), number));
        if (written != instead) {
            missing.removeIf(number -> Codes.isOfWord(segment.sourceText(), number));
            added.removeIf(number -> Codes.isOfWord(segment.targetText(), number));
        }
        if (Message.mayHaveVariants(segment.sourceText())) {
            missing.removeIf(NumbersCheck::isSelected);
            added.removeIf(NumbersCheck::isSelected);
        }
        List<Finding> findings = findings(segment, missing, added);
        romans(segment).ifPresent(findings::add);
        months(segment).ifPresent(findings::add);
        if (findings.isEmpty()) {
            LetteredCodes.changed(source, target)
                    .map(span -> codeChanged(segment, span))
                    .ifPresent(findings::add);
        }
        return findings;
    }

    private List<ReadNumber> read(String masked, String language) {
        return new ArrayList<>(reader(language).read(masked));
    }

    /** A small number in a message may be that of a variant which only one of the languages has. */
    private static boolean isSelected(ReadNumber number) {
        return number.written().length() == 1;
    }

    private NumberReader reader(String language) {
        return readers.computeIfAbsent(language, NumberReader::new);
    }

    private boolean isSame(ReadNumber source, ReadNumber target, CheckedSegment segment) {
        if (Codes.isVersion(segment.sourceText(), source)) {
            return source.written().equals(target.written());
        }
        if (source.values().isEmpty()) {
            // An author who writes numbers as another language does; perhaps as that of the target.
            List<ReadNumber> again = reader(segment.targetLanguage()).read(source.written());
            return source.written().equals(target.written())
                    || again.size() == 1 && again.get(0).agreesWith(target);
        }
        return source.agreesWith(target) && !Codes.differ(segment.sourceText(), source, target);
    }

    private List<Finding> findings(CheckedSegment segment, List<ReadNumber> missing, List<ReadNumber> added) {
        List<Finding> findings = new ArrayList<>();
        boolean single = missing.size() == 1 && added.size() == 1;
        for (ReadNumber number : missing.subList(0, Math.min(missing.size(), Finding.MOST_OF_A_KIND))) {
            Optional<ReadNumber> instead =
                    added.stream().filter(each -> each.kind() == number.kind()).findFirst();
            instead.ifPresent(added::remove);
            findings.add(instead.map(wrong -> changed(segment, number, wrong, single))
                    .orElseGet(() -> one(segment, number, true)));
        }
        added.stream().limit(Finding.MOST_OF_A_KIND).forEach(number -> findings.add(one(segment, number, false)));
        return findings;
    }

    private Finding changed(CheckedSegment segment, ReadNumber right, ReadNumber wrong, boolean certain) {
        Optional<Content> fix = certain
                ? new NumberWriter(segment.targetLanguage())
                        .corrected(right, wrong)
                        .map(text -> segment.target().replaceText(wrong.start(), wrong.end(), text))
                : Optional.empty();
        // '3.00' where a comma is wanted could be a time, and is none.
        boolean foreign = wrong.values().isEmpty()
                || wrong.kind() == ReadNumber.Kind.NUMBER && value(wrong).indexOf(':') > 0;
        boolean asWritten = value(right).equals(right.written()) && value(wrong).equals(wrong.written());
        String key = foreign
                ? "check.numbers.notation"
                : asWritten ? "check.numbers.changed-as-written" : "check.numbers.changed";
        Phrase message = Phrase.of(key, right.written(), wrong.written(), value(right), value(wrong));
        return Finding.in(segment, id(), Severity.ERROR, message, List.of(span(right)), List.of(span(wrong)), fix);
    }

    private Finding codeChanged(CheckedSegment segment, Span code) {
        String written = segment.sourceText().substring(code.start(), code.end());
        return Finding.in(
                segment,
                id(),
                Severity.ERROR,
                Phrase.of("check.numbers.code", written),
                List.of(code),
                List.of(),
                Optional.empty());
    }

    private Finding one(CheckedSegment segment, ReadNumber number, boolean missing) {
        Phrase message = Phrase.of(missing ? "check.numbers.missing" : "check.numbers.added", number.written());
        List<Span> here = List.of(span(number));
        return Finding.in(
                segment,
                id(),
                Severity.ERROR,
                message,
                missing ? here : List.of(),
                missing ? List.of() : here,
                Optional.empty());
    }

    /** Numerals of both texts that are as many and not the same; one alone can be letters that only look like one. */
    private Optional<Finding> romans(CheckedSegment segment) {
        return changed(
                segment,
                RomanNumerals.find(segment.sourceText()).stream()
                        .map(each -> new Said(new Span(each.start(), each.end()), each.value()))
                        .toList(),
                RomanNumerals.find(segment.targetText()).stream()
                        .map(each -> new Said(new Span(each.start(), each.end()), each.value()))
                        .toList(),
                true);
    }

    /** Months of dates likewise. */
    private Optional<Finding> months(CheckedSegment segment) {
        List<Said> source = months(segment.sourceText(), segment.sourceLanguage());
        return source.isEmpty()
                ? Optional.empty()
                : changed(segment, source, months(segment.targetText(), segment.targetLanguage()), false);
    }

    private static List<Said> months(String text, String language) {
        return MonthNames.of(language).inDates(text).stream()
                .map(each -> new Said(new Span(each.start(), each.end()), each.month()))
                .toList();
    }

    /** What is said with letters in place of digits, and its value. */
    private record Said(Span span, int value) {
        private String in(String text) {
            return text.substring(span.start(), span.end());
        }
    }

    private Optional<Finding> changed(CheckedSegment segment, List<Said> source, List<Said> target, boolean same) {
        List<Said> missing = new ArrayList<>(source);
        List<Said> added = new ArrayList<>();
        for (Said said : target) {
            missing.stream()
                    .filter(each -> each.value() == said.value())
                    .findFirst()
                    .ifPresentOrElse(missing::remove, () -> added.add(said));
        }
        if (source.size() != target.size() || missing.size() != 1) {
            return Optional.empty();
        }
        Span wrong = added.get(0).span();
        String written = missing.get(0).in(segment.sourceText());
        String instead = added.get(0).in(segment.targetText());
        return Optional.of(Finding.in(
                segment,
                id(),
                Severity.ERROR,
                Phrase.of(
                        "check.numbers.changed",
                        written,
                        instead,
                        missing.get(0).value(),
                        added.get(0).value()),
                List.of(missing.get(0).span()),
                List.of(wrong),
                same
                        ? Optional.of(segment.target().replaceText(wrong.start(), wrong.end(), written))
                        : Optional.empty()));
    }

    private static String value(ReadNumber number) {
        return number.values().stream()
                .sorted()
                .findFirst()
                .map(v -> v.replace("#", ""))
                .orElse("?");
    }

    private static Span span(ReadNumber number) {
        return new Span(number.start(), number.end());
    }
}
