package org.swaplane.check;

import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.number.MonthNames;
import org.swaplane.number.NumberWriter;
import org.swaplane.number.ReadNumber;
import org.swaplane.number.RomanNumerals;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.wording.Phrase;

/** Numbers, times and dates compared as values, each side read in the notation of its own language. */
final class NumbersCheck implements Check {
    private static final Pattern BEHIND = Pattern.compile(
            "[\\s\u00A0\u202F]?(?:(?<sign>[%\u2030\u00B0\u2032\u2033\\p{Sc}])|(?<word>\\p{L}[\\p{L}\u00B2\u00B3/]*))");
    private static final Pattern BEFORE =
            Pattern.compile("(?:(?<sign>\\p{Sc})|(?<word>\\p{L}{2,3}))[\\s\u00A0\u202F]?$");
    private static final Set<String> CURRENCIES = Currency.getAvailableCurrencies().stream()
            .map(Currency::getCurrencyCode)
            .collect(Collectors.toUnmodifiableSet());

    private final Placeholders placeholders;

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
        NumberMatching matching = NumberMatching.of(segment, placeholders);
        List<Finding> findings = findings(segment, matching.missing(), new ArrayList<>(matching.added()));
        romans(segment).ifPresent(findings::add);
        months(segment).ifPresent(findings::add);
        if (findings.isEmpty()) {
            LetteredCodes.changed(
                            NumberMatching.masked(segment.sourceText(), placeholders),
                            NumberMatching.masked(segment.targetText(), placeholders))
                    .map(span -> codeChanged(segment, span))
                    .ifPresent(findings::add);
        }
        return findings;
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
        if (foreign && wrong.written().equals(right.written()) && !isMeasured(segment.targetText(), wrong)) {
            return keptAsWritten(segment, right, wrong, fix);
        }
        String key = foreign
                ? "check.numbers.notation"
                : asWritten ? "check.numbers.changed-as-written" : "check.numbers.changed";
        Phrase message = Phrase.of(key, right.written(), wrong.written(), value(right), value(wrong));
        return Finding.in(segment, id(), Severity.ERROR, message, List.of(span(right)), List.of(span(wrong)), fix);
    }

    /** As in the source, where this language would write it otherwise: nearly always the number of a version or a section. */
    private Finding keptAsWritten(CheckedSegment segment, ReadNumber right, ReadNumber wrong, Optional<Content> fix) {
        return Finding.in(
                segment,
                id(),
                Severity.WARNING,
                Phrase.of("check.numbers.kept", wrong.written()),
                List.of(span(right)),
                List.of(span(wrong)),
                fix);
    }

    /** Whether a unit, a currency or a sign for percent stands beside a number, so that it can be no version. */
    private static boolean isMeasured(String text, ReadNumber number) {
        Matcher behind = BEHIND.matcher(text).region(number.end(), text.length());
        boolean measured = behind.lookingAt() && (behind.group("sign") != null || isUnit(behind.group("word")));
        Matcher before = BEFORE.matcher(text.substring(0, number.start()));
        return measured || before.find() && (before.group("sign") != null || isCurrency(before.group("word")));
    }

    private static boolean isUnit(String word) {
        return UnitSymbols.isOne(word) || isCurrency(word);
    }

    private static boolean isCurrency(String word) {
        return CURRENCIES.contains(word);
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
