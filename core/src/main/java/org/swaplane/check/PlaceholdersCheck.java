package org.swaplane.check;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jsoup.parser.Parser;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.format.IcuMessage;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.placeholder.Placeholders.Found;
import org.swaplane.placeholder.PrintfArguments;
import org.swaplane.wording.Phrase;

/** Placeholders of the source that the target lost or changed, and ones that only the target has; their order is free. */
final class PlaceholdersCheck implements Check {
    private static final Set<String> SYNTAX = Set.of("&", "<", ">");
    private static final Set<Integer> FREE = Set.of(
            (int) Character.SPACE_SEPARATOR,
            (int) Character.FORMAT,
            (int) Character.INITIAL_QUOTE_PUNCTUATION,
            (int) Character.FINAL_QUOTE_PUNCTUATION,
            (int) Character.DASH_PUNCTUATION,
            (int) Character.OTHER_PUNCTUATION);

    private final Placeholders placeholders;

    PlaceholdersCheck(Placeholders placeholders) {
        this.placeholders = placeholders;
    }

    @Override
    public String id() {
        return "placeholders";
    }

    @Override
    public List<Finding> check(CheckedSegment segment) {
        if (segment.target().isEmpty()) {
            return List.of();
        }
        List<Found> source = placeholders.find(segment.sourceText());
        List<Found> target = placeholders.find(segment.targetText());
        if (source.isEmpty() && target.isEmpty()) {
            return List.of();
        }
        if (IcuMessage.mayHaveVariants(segment.sourceText())) {
            source = onceEach(source);
            target = onceEach(target);
        }
        List<Found> missing = without(source, target);
        List<Found> added = without(target, source);
        missing.removeIf(each -> isWrittenOut(each, segment.targetText()));
        added.removeIf(each -> isWrittenOut(each, segment.sourceText()));
        if (missing.size() == 1 && added.size() == 1) {
            return List.of(changed(segment, missing.get(0), added.get(0)));
        }
        List<Finding> findings = new ArrayList<>();
        if (missing.isEmpty() && added.isEmpty()) {
            unbalanced(segment).ifPresent(findings::add);
        }
        missing.stream()
                .limit(Finding.MOST_OF_A_KIND)
                .forEach(found -> findings.add(
                        finding(segment, "check.placeholders.missing", found, List.of(span(found)), List.of())));
        added.stream()
                .limit(Finding.MOST_OF_A_KIND)
                .forEach(found -> findings.add(
                        finding(segment, "check.placeholders.added", found, List.of(), List.of(span(found)))));
        return findings;
    }

    /** What the variants of a message have in common: languages have different numbers of them. Braces are for another check. */
    private static List<Found> onceEach(List<Found> found) {
        Set<String> seen = new HashSet<>();
        return found.stream()
                .filter(each -> !each.written().startsWith("{") && seen.add(each.written()))
                .toList();
    }

    /**
     * Whether an entity is a character that the other text has as it is, or that texts are free to have: a letter, a space, a quotation
     * mark. One that protects a character of the syntax must not be left out where this character stands.
     */
    private static boolean isWrittenOut(Found found, String other) {
        if (!found.written().startsWith("&")) {
            return false;
        }
        String character = Parser.unescapeEntities(found.written(), true);
        if (SYNTAX.contains(character)) {
            return !other.contains(character);
        }
        int type = Character.getType(character.codePointAt(0));
        return other.contains(character) || Character.isLetter(character.codePointAt(0)) || FREE.contains(type);
    }

    /** Elements that are written as text and close before they open, while those of the source do not. */
    private Optional<Finding> unbalanced(CheckedSegment segment) {
        Optional<Found> wrong = firstUnbalanced(segment.targetText());
        if (wrong.isEmpty() || firstUnbalanced(segment.sourceText()).isPresent()) {
            return Optional.empty();
        }
        return wrong.map(
                found -> finding(segment, "check.placeholders.nesting", found, List.of(), List.of(span(found))));
    }

    private Optional<Found> firstUnbalanced(String text) {
        Deque<String> open = new ArrayDeque<>();
        if (text.indexOf('<') < 0) {
            return Optional.empty();
        }
        for (Found found : placeholders.find(text)) {
            String name = found.written().replaceAll("^</?([A-Za-z][\\w-]*).*", "$1");
            if (found.written().startsWith("</")) {
                if (open.isEmpty() || !open.pop().equals(name)) {
                    return Optional.of(found);
                }
            } else if (found.written().startsWith("<") && !found.written().endsWith("/>")) {
                open.push(name);
            }
        }
        return Optional.empty();
    }

    /** The placeholders that {@code others} has no counterpart for, each counterpart used once. */
    private static List<Found> without(List<Found> found, List<Found> others) {
        List<String> left = new ArrayList<>(numbered(others));
        List<String> identities = numbered(found);
        List<Found> result = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            if (!left.remove(identities.get(i))) {
                result.add(found.get(i));
            }
        }
        return result;
    }

    private static List<String> numbered(List<Found> found) {
        return PrintfArguments.numbered(found.stream().map(Found::written).toList());
    }

    private Finding changed(CheckedSegment segment, Found source, Found target) {
        Content fixed = segment.target().replaceText(target.start(), target.end(), source.written());
        Phrase message = Phrase.of("check.placeholders.changed", source.written(), target.written());
        return Finding.in(
                segment,
                id(),
                Severity.ERROR,
                message,
                List.of(span(source)),
                List.of(span(target)),
                Optional.of(fixed));
    }

    private Finding finding(CheckedSegment segment, String key, Found found, List<Span> source, List<Span> target) {
        return Finding.in(
                segment, id(), Severity.ERROR, Phrase.of(key, found.written()), source, target, Optional.empty());
    }

    private static Span span(Found found) {
        return new Span(found.start(), found.end());
    }
}
