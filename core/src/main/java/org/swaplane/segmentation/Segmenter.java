package org.swaplane.segmentation;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Finds where the segments of a text end, by the rules of one language (SRX 2.0, section 3.4.1: the first rule that matches decides). */
public final class Segmenter {
    /** What stands further back than this has no say about a break; it keeps long texts fast. */
    private static final int LOOK_BACK = 48;

    private final List<Compiled> rules;

    /** A rule whose pattern for the text before is looked up at the end of a region. */
    private record Compiled(boolean breaks, Pattern before, Pattern beforeAtEnd, Pattern after) {}

    public Segmenter(List<BreakRule> rules) {
        this.rules = rules.stream()
                .map(rule -> new Compiled(
                        rule.breaks(),
                        Pattern.compile(rule.before()),
                        Pattern.compile("(?:" + rule.before() + ")\\z"),
                        Pattern.compile(rule.after())))
                .toList();
    }

    /** Offsets within {@code text} at which a new segment begins, in order, without 0 and the end. */
    public List<Integer> breaks(String text) {
        TreeSet<Integer> candidates = new TreeSet<>();
        for (Compiled rule : rules) {
            if (rule.breaks()) {
                addCandidates(rule, text, candidates);
            }
        }
        List<Integer> breaks = new ArrayList<>();
        for (int at : candidates) {
            if (at > 0 && at < text.length() && breaksAt(text, at)) {
                breaks.add(at);
            }
        }
        return breaks;
    }

    private static void addCandidates(Compiled rule, String text, TreeSet<Integer> candidates) {
        Matcher before = rule.before().matcher(text);
        int from = 0;
        while (from <= text.length() && before.find(from)) {
            candidates.add(before.end());
            from = before.start() + 1;
        }
    }

    private boolean breaksAt(String text, int at) {
        for (Compiled rule : rules) {
            boolean matches =
                    rule.after().matcher(text).region(at, text.length()).lookingAt()
                            && rule.beforeAtEnd()
                                    .matcher(text)
                                    .useTransparentBounds(true)
                                    .region(Math.max(0, at - LOOK_BACK), at)
                                    .find();
            if (matches) {
                return rule.breaks();
            }
        }
        return false;
    }
}
