package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.document.TargetRule;
import org.swaplane.document.TargetRule.Comparison;
import org.swaplane.document.TargetRule.Kind;
import org.swaplane.wording.Phrase;

/** What the file itself demands of its targets. */
final class FileRulesCheck implements Check {
    private static final String CHARACTERS = "characters";

    @Override
    public String id() {
        return "pattern";
    }

    @Override
    public List<Finding> check(CheckedSegment segment) {
        List<TargetRule> rules = segment.segment().about().rules();
        if (rules.isEmpty() || segment.target().isEmpty()) {
            return List.of();
        }
        List<Finding> findings = new ArrayList<>();
        for (TargetRule rule : rules) {
            if (rule.kind() == Kind.LONGEST_LINE) {
                tooLong(segment, rule.occurs()).ifPresent(findings::add);
            } else if (rule.kind() == Kind.ALLOWED_CHARACTERS) {
                notAllowed(segment, rule).ifPresent(findings::add);
            } else if (isBroken(rule, segment)) {
                findings.add(finding(segment, id(), message(segment, rule), List.of()));
            }
        }
        return findings;
    }

    private static boolean isBroken(TargetRule rule, CheckedSegment segment) {
        boolean kept = holds(rule, segment.targetText());
        // What neither side has was left out by the author, not by the translator.
        boolean expected = !rule.asInSource() || holds(rule, segment.sourceText());
        return kept != expected;
    }

    private static boolean holds(TargetRule rule, String written) {
        Comparison how = rule.comparison();
        String text = how.comparable(written);
        String sought = how.comparable(rule.text());
        return switch (rule.kind()) {
            case PRESENT -> rule.occurs() == 0 ? text.contains(sought) : count(text, sought) == rule.occurs();
            case NOT_PRESENT -> !text.contains(sought);
            case STARTS_WITH -> text.startsWith(sought);
            case ENDS_WITH -> text.endsWith(sought);
            case ALLOWED_CHARACTERS, LONGEST_LINE -> true;
        };
    }

    private static int count(String text, String sought) {
        int count = 0;
        for (int at = text.indexOf(sought); at >= 0; at = text.indexOf(sought, at + sought.length())) {
            count++;
        }
        return count;
    }

    private static Phrase message(CheckedSegment segment, TargetRule rule) {
        boolean kept = holds(rule, segment.targetText());
        if (kept && rule.asInSource()) {
            return Phrase.of("check.pattern.only-target", rule.text());
        }
        return switch (rule.kind()) {
            case PRESENT ->
                rule.occurs() == 0
                        ? Phrase.of("check.pattern.present", rule.text())
                        : Phrase.of("check.pattern.times", rule.text(), rule.occurs(), occurrences(segment, rule));
            case NOT_PRESENT -> Phrase.of("check.pattern.not-present", rule.text());
            case STARTS_WITH -> Phrase.of("check.pattern.starts", rule.text());
            case ENDS_WITH -> Phrase.of("check.pattern.ends", rule.text());
            case ALLOWED_CHARACTERS, LONGEST_LINE -> throw new AssertionError(rule);
        };
    }

    private static int occurrences(CheckedSegment segment, TargetRule rule) {
        Comparison how = rule.comparison();
        return count(how.comparable(segment.targetText()), how.comparable(rule.text()));
    }

    /** Counts what people see: combined characters are one. */
    private static Optional<Finding> tooLong(CheckedSegment segment, int most) {
        int at = 0;
        for (String line : segment.targetText().split("\n", -1)) {
            int length = (int) line.codePoints()
                    .filter(c -> Character.getType(c) != Character.NON_SPACING_MARK)
                    .count();
            if (length > most) {
                Span span = new Span(at, at + line.length());
                return Optional.of(
                        finding(segment, "length", Phrase.of("check.length.line", length, most), List.of(span)));
            }
            at += line.length() + 1;
        }
        return Optional.empty();
    }

    private static Optional<Finding> notAllowed(CheckedSegment segment, TargetRule rule) {
        Pattern allowed = Pattern.compile(rule.text());
        String text = segment.targetText();
        List<Span> spans = new ArrayList<>();
        StringBuilder characters = new StringBuilder();
        for (int at = 0; at < text.length(); at += Character.charCount(text.codePointAt(at))) {
            String character = Character.toString(text.codePointAt(at));
            Matcher matcher = allowed.matcher(character);
            if (!matcher.matches()) {
                spans.add(new Span(at, at + character.length()));
                if (characters.indexOf(character) < 0) {
                    characters.append(characters.isEmpty() ? "" : " ").append(character);
                }
            }
        }
        return spans.isEmpty()
                ? Optional.empty()
                : Optional.of(finding(
                        segment, CHARACTERS, Phrase.of("check.characters.not-allowed", characters.toString()), spans));
    }

    private static Finding finding(CheckedSegment segment, String check, Phrase message, List<Span> target) {
        return Finding.in(segment, check, Severity.ERROR, message, List.of(), target, Optional.empty());
    }
}
