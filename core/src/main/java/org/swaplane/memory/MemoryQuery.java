package org.swaplane.memory;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import org.swaplane.content.TagNumbers;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.PatientText;

/**
 * What is searched for in memories.
 *
 * @param text empty for all units
 * @param who a part of the name of who made or changed a unit, or of where it comes from; empty for anybody
 * @param since the first day of the last change, ISO 8601; empty for any
 * @param file the only file that units may come from; empty for any
 */
public record MemoryQuery(
        String text, Side side, Mode mode, boolean matchCase, Kind kind, String who, String since, String file) {
    /** Units of any file. */
    public MemoryQuery(String text, Side side, Mode mode, boolean matchCase, Kind kind, String who, String since) {
        this(text, side, mode, matchCase, kind, who, since, "");
    }

    /** The same in one file only; an empty name is that of none. */
    public MemoryQuery in(String name) {
        return new MemoryQuery(text, side, mode, matchCase, kind, who, since, name);
    }

    /** Which text of a unit is searched. */
    public enum Side {
        SOURCE,
        TARGET,
        BOTH
    }

    /** How the text is meant. */
    public enum Mode {
        /** All words, in any order and form of upper and lower case. */
        WORDS,
        /** The text as it is. */
        EXACTLY,
        /** With {@code *} for any letters and {@code ?} for one. */
        WILDCARDS,
        /** A regular expression of Java. */
        REGEX
    }

    /** Which units at all. */
    public enum Kind {
        ALL,
        /** Sources that have several translations. */
        SEVERAL_TARGETS,
        /** Tags of the source that the target does not have, or has more often. */
        OTHER_TAGS
    }

    /** Words on one side, as they are typed. */
    public static MemoryQuery ofWords(String words, boolean inTarget) {
        return new MemoryQuery(words, inTarget ? Side.TARGET : Side.SOURCE, Mode.WORDS, false, Kind.ALL, "", "");
    }

    /** Whether the index of words answers it, so that not every unit must be looked at. */
    boolean isOfWords() {
        return mode == Mode.WORDS
                && side != Side.BOTH
                && !matchCase
                && !text.isBlank()
                && isOfAnyUnit()
                && file.isEmpty();
    }

    /** Whether only the text says which units are meant, and the file. */
    public boolean isOfAnyUnit() {
        return kind == Kind.ALL && who.isBlank() && since.isBlank();
    }

    /**
     * Where the text stands in another one; empty when every text is meant.
     *
     * @throws CannotProceedException when the regular expression is none
     */
    public Optional<Pattern> pattern() {
        String wanted = text.strip();
        if (wanted.isEmpty()) {
            return Optional.empty();
        }
        String written =
                switch (mode) {
                    case WORDS -> Pattern.quote(wanted);
                    case EXACTLY -> Pattern.quote(text);
                    case WILDCARDS -> wildcards(wanted);
                    case REGEX -> text;
                };
        try {
            int flags = matchCase ? 0 : Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE;
            return Optional.of(Pattern.compile(written, flags));
        } catch (PatternSyntaxException e) {
            throw new CannotProceedException(text, "problem.no-regex", e.getDescription());
        }
    }

    private static String wildcards(String wanted) {
        StringBuilder pattern = new StringBuilder();
        wanted.codePoints().forEach(c -> {
            switch (c) {
                case '*' -> pattern.append("[\\p{L}\\p{M}\\p{N}]*");
                case '?' -> pattern.append("[\\p{L}\\p{M}\\p{N}]");
                default -> pattern.append(Pattern.quote(Character.toString(c)));
            }
        });
        return "(?<![\\p{L}\\p{M}\\p{N}])" + pattern + "(?![\\p{L}\\p{M}\\p{N}])";
    }

    /** Whether a unit is meant, but for whether its source has several targets. */
    public Predicate<MemoryUnit> matcher() {
        Predicate<String> inText = inText();
        return unit -> isKind(unit)
                && (file.isEmpty() || unit.origin().equals(file))
                && isBy(unit)
                && (since.isBlank() || lastChange(unit).compareTo(since.strip()) >= 0)
                && (side != Side.TARGET && inText.test(unit.source().plainText())
                        || side != Side.SOURCE && inText.test(unit.target().plainText()));
    }

    private Predicate<String> inText() {
        if (mode == Mode.WORDS) {
            String[] words =
                    (matchCase ? text : text.toLowerCase(Locale.ROOT)).strip().split("\\s+");
            return within -> {
                String searched = matchCase ? within : within.toLowerCase(Locale.ROOT);
                for (String word : words) {
                    if (!searched.contains(word)) {
                        return false;
                    }
                }
                return true;
            };
        }
        Optional<Pattern> pattern = pattern();
        return within -> pattern.isEmpty()
                || pattern.get().matcher(new PatientText(within, text)).find();
    }

    private boolean isKind(MemoryUnit unit) {
        return kind != Kind.OTHER_TAGS
                || !TagNumbers.of(unit.source()).in(unit.source()).stream()
                        .sorted()
                        .toList()
                        .equals(TagNumbers.of(unit.source()).in(unit.target()).stream()
                                .sorted()
                                .toList());
    }

    private boolean isBy(MemoryUnit unit) {
        String wanted = who.strip().toLowerCase(Locale.ROOT);
        Provenance from = unit.provenance();
        return wanted.isEmpty()
                || (from.createdBy() + '\n' + from.changedBy() + '\n' + from.origin())
                        .toLowerCase(Locale.ROOT)
                        .contains(wanted);
    }

    private static String lastChange(MemoryUnit unit) {
        Provenance from = unit.provenance();
        return from.changed().isEmpty() ? from.created() : from.changed();
    }
}
