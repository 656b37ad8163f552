package org.swaplane.check;

import static org.swaplane.wording.Wording.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.number.NumberReader;
import org.swaplane.number.NumberWriter;
import org.swaplane.number.ReadNumber;
import org.swaplane.placeholder.Placeholders;

/** Numbers, times and dates compared as values, each side read in the notation of its own language. */
final class NumbersCheck implements Check {
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
        List<ReadNumber> missing = read(segment.source(), segment.sourceLanguage());
        List<ReadNumber> added = new ArrayList<>();
        for (ReadNumber number : read(segment.target(), segment.targetLanguage())) {
            missing.stream()
                    .filter(number::agreesWith)
                    .findFirst()
                    .ifPresentOrElse(missing::remove, () -> added.add(number));
        }
        missing.removeIf(number -> isSpelledOut(number, segment.target(), segment.targetLanguage()));
        added.removeIf(number -> isSpelledOut(number, segment.source(), segment.sourceLanguage()));
        return findings(segment, missing, added);
    }

    private List<ReadNumber> read(Content content, String language) {
        String text = placeholders.mask(content.plainText(), '\uFFFC');
        return new ArrayList<>(
                readers.computeIfAbsent(language, NumberReader::new).read(text));
    }

    private List<Finding> findings(CheckedSegment segment, List<ReadNumber> missing, List<ReadNumber> added) {
        List<Finding> findings = new ArrayList<>();
        boolean single = missing.size() == 1 && added.size() == 1;
        for (ReadNumber number : missing) {
            Optional<ReadNumber> instead =
                    added.stream().filter(each -> each.kind() == number.kind()).findFirst();
            instead.ifPresent(added::remove);
            findings.add(instead.map(wrong -> changed(segment, number, wrong, single))
                    .orElseGet(() -> one(segment, number, true)));
        }
        added.forEach(number -> findings.add(one(segment, number, false)));
        return findings;
    }

    private Finding changed(CheckedSegment segment, ReadNumber right, ReadNumber wrong, boolean certain) {
        Optional<Content> fix = certain
                ? new NumberWriter(segment.targetLanguage())
                        .corrected(right, wrong)
                        .map(text -> segment.target().replaceText(wrong.start(), wrong.end(), text))
                : Optional.empty();
        String key = wrong.values().isEmpty() ? "check.numbers.notation" : "check.numbers.changed";
        String message = say(key, right.written(), wrong.written(), value(right), value(wrong));
        return Finding.in(segment, id(), Severity.ERROR, message, List.of(span(right)), List.of(span(wrong)), fix);
    }

    private Finding one(CheckedSegment segment, ReadNumber number, boolean missing) {
        String message = say(missing ? "check.numbers.missing" : "check.numbers.added", number.written());
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

    /** Small numbers may be digits on one side and a word on the other. */
    private static boolean isSpelledOut(ReadNumber number, Content other, String language) {
        String value = number.values().size() == 1 ? number.values().iterator().next() : "";
        return SpelledNumber.isIn(other.plainText(), value, language);
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
