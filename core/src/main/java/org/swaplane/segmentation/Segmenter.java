package org.swaplane.segmentation;

import java.util.List;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.PatientText;

/** Finds where the segments of a text end, by the rules of one language (SRX 2.0, section 3.4.1: the first rule that matches decides). */
public final class Segmenter {
    /** What stands further back than this has no say about a break; it keeps long texts fast. */
    private static final int LOOK_BACK = 48;

    private final List<Compiled> rules;

    /** How patterns begin that can only match where no letter stands before. */
    private static final String WORD_START = "(?<![\\p{L}\\p{M}])";

    /**
     * A rule whose pattern for the text before is looked up at the end of a region.
     *
     * @param beforeAtEnd without the condition of {@code atWordStart}
     * @param atWordStart whether it cannot match behind a letter, which is much quicker to see than to match
     */
    private record Compiled(boolean breaks, Pattern before, Pattern beforeAtEnd, boolean atWordStart, Pattern after) {}

    /** A rule over one text, at any of its places. */
    private static final class Applied {
        private final Compiled rule;
        private final String text;
        private final Matcher after;
        /** Made when it is needed, which is seldom. */
        private Matcher before;

        private Applied(Compiled rule, String text) {
            this.rule = rule;
            this.text = text;
            this.after = rule.after().matcher(new PatientText(text, rule.after().pattern()));
        }

        private boolean matches(int at) {
            return after.region(at, text.length()).lookingAt() && matchesBefore(at);
        }

        private boolean matchesBefore(int at) {
            if (before == null) {
                before = rule.beforeAtEnd()
                        .matcher(new PatientText(text, rule.before().pattern()))
                        .useTransparentBounds(true);
            }
            int from = Math.max(0, at - LOOK_BACK);
            if (!rule.atWordStart()) {
                return before.region(from, at).find();
            }
            for (int start = at - 1; start >= from; start--) {
                boolean behindLetter = start > 0 && isLetterOrMark(text.codePointBefore(start));
                if (!behindLetter && before.region(start, at).lookingAt()) {
                    return true;
                }
            }
            return false;
        }
    }

    public Segmenter(List<BreakRule> rules) {
        this.rules = rules.stream().map(Segmenter::compiled).toList();
    }

    private static Compiled compiled(BreakRule rule) {
        boolean atWordStart = rule.before().startsWith(WORD_START) && !hasAlternatives(rule.before());
        String atEnd = atWordStart ? rule.before().substring(WORD_START.length()) : rule.before();
        return new Compiled(
                rule.breaks(),
                Pattern.compile(rule.before()),
                Pattern.compile("(?:" + atEnd + ")\\z"),
                atWordStart,
                Pattern.compile(rule.after()));
    }

    /** Whether a bar stands outside all brackets, so that the begin of the expression is that of its first part only. */
    private static boolean hasAlternatives(String expression) {
        int depth = 0;
        for (int i = 0; i < expression.length(); i++) {
            switch (expression.charAt(i)) {
                case '\\' -> i++;
                case '(', '[' -> depth++;
                case ')', ']' -> depth--;
                case '|' -> {
                    if (depth == 0) {
                        return true;
                    }
                }
                default -> {} // part of what is matched
            }
        }
        return false;
    }

    /**
     * Offsets within {@code text} at which a new segment begins, in order, without 0 and the end.
     *
     * @throws CannotProceedException when a pattern of the rules would take for ever
     */
    public List<Integer> breaks(String text) {
        try {
            return found(text);
        } catch (StackOverflowError e) {
            throw new CannotProceedException("", "problem.pattern-deep");
        }
    }

    private List<Integer> found(String text) {
        TreeSet<Integer> candidates = new TreeSet<>();
        for (Compiled rule : rules) {
            if (rule.breaks()) {
                addCandidates(rule, text, candidates);
            }
        }
        candidates.remove(0);
        candidates.remove(text.length());
        if (candidates.isEmpty()) {
            return List.of();
        }
        List<Applied> applied =
                rules.stream().map(rule -> new Applied(rule, text)).toList();
        return candidates.stream().filter(at -> breaksAt(applied, at)).toList();
    }

    private static void addCandidates(Compiled rule, String text, TreeSet<Integer> candidates) {
        Matcher before =
                rule.before().matcher(new PatientText(text, rule.before().pattern()));
        int from = 0;
        while (from <= text.length() && before.find(from)) {
            candidates.add(before.end());
            from = before.start() + 1;
        }
    }

    private static boolean breaksAt(List<Applied> rules, int at) {
        for (Applied each : rules) {
            if (each.matches(at)) {
                return each.rule.breaks();
            }
        }
        return false;
    }

    private static boolean isLetterOrMark(int c) {
        int type = Character.getType(c);
        return Character.isLetter(c)
                || type == Character.NON_SPACING_MARK
                || type == Character.COMBINING_SPACING_MARK
                || type == Character.ENCLOSING_MARK;
    }
}
