package org.swaplane.memory;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.task.Progress;

/**
 * Pairs the segments of two finished documents by the cheapest way through both: one to one, one left out, two to one, one to two, two to
 * two. How likely two texts are a pair is told by their lengths (after Gale and Church, A Program for Aligning Sentences in Bilingual
 * Corpora, 1993), and by numbers, words written alike and tags that they share.
 */
public final class Alignment {
    /** Segments of a document in their order, each with the unit that it belongs to. */
    public record Side(List<Content> texts, List<String> units) {}

    /** What may be paired with what, how often that is so, as its cost in nats. */
    private enum Bead {
        ONE_ONE(1, 1, 0.12),
        ONE_NONE(1, 0, 4.2),
        NONE_ONE(0, 1, 4.2),
        TWO_ONE(2, 1, 2.4),
        ONE_TWO(1, 2, 2.4),
        TWO_TWO(2, 2, 4.5);

        private final int sources;
        private final int targets;
        private final double cost;

        Bead(int sources, int targets, double cost) {
            this.sources = sources;
            this.targets = targets;
            this.cost = cost;
        }
    }

    private static final int LEAST_BAND = 300;
    /** Variance of a translation's length per character of its source. */
    private static final double VARIANCE = 6.8;

    /** Characters that are supposed to be translated one to one, so that few texts alone do not say how long translations are. */
    private static final double SUPPOSED = 500;

    private static final double OTHER_UNIT = 3;
    private static final double NUMBER_SHARED = 1.6;
    private static final double NUMBER_ALONE = 2.4;
    private static final double WORD_SHARED = 0.9;
    private static final double MOST_FOR_WORDS = 3.6;
    private static final double OTHER_TAGS = 0.8;

    private final List<AlignmentText> sources;
    private final List<AlignmentText> targets;
    private final double ratio;

    private Alignment(List<AlignmentText> sources, List<AlignmentText> targets, double ratio) {
        this.sources = sources;
        this.targets = targets;
        this.ratio = ratio;
    }

    /** Pairs two documents whose segments follow each other in the same order. */
    public static List<AlignedPair> inOrder(Side source, Side target, Progress progress) {
        List<AlignmentText> sources = texts(source);
        List<AlignmentText> targets = texts(target);
        return new Alignment(sources, targets, ratio(sources, targets)).pairs(progress);
    }

    /** Pairs two documents whose units have keys: what has the same key belongs together, in whatever order. */
    public static List<AlignedPair> byKey(Side source, Side target, Progress progress) {
        List<AlignmentText> sources = texts(source);
        List<AlignmentText> targets = texts(target);
        double ratio = ratio(sources, targets);
        Map<String, List<Integer>> there = positions(target.units());
        List<AlignedPair> pairs = new ArrayList<>();
        for (Map.Entry<String, List<Integer>> unit : positions(source.units()).entrySet()) {
            progress.checkCancelled();
            List<Integer> here = unit.getValue();
            List<Integer> counterpart = there.getOrDefault(unit.getKey(), List.of());
            there.remove(unit.getKey());
            Alignment within = new Alignment(
                    here.stream().map(sources::get).toList(),
                    counterpart.stream().map(targets::get).toList(),
                    ratio);
            boolean certain = here.size() == 1 && counterpart.size() == 1;
            for (AlignedPair pair : within.pairs(Progress.NONE)) {
                pairs.add(new AlignedPair(
                        pair.source().stream().map(here::get).toList(),
                        pair.target().stream().map(counterpart::get).toList(),
                        certain ? 1 : pair.confidence()));
            }
        }
        there.values().forEach(left -> left.forEach(index -> pairs.add(new AlignedPair(List.of(), List.of(index), 1))));
        return pairs;
    }

    private static Map<String, List<Integer>> positions(List<String> units) {
        Map<String, List<Integer>> positions = new LinkedHashMap<>();
        for (int i = 0; i < units.size(); i++) {
            positions.computeIfAbsent(units.get(i), unit -> new ArrayList<>()).add(i);
        }
        return positions;
    }

    private static List<AlignmentText> texts(Side side) {
        List<AlignmentText> texts = new ArrayList<>();
        for (int i = 0; i < side.texts().size(); i++) {
            texts.add(AlignmentText.of(side.texts().get(i), side.units().get(i)));
        }
        return texts;
    }

    private static double ratio(List<AlignmentText> sources, List<AlignmentText> targets) {
        double source = sources.stream().mapToInt(AlignmentText::length).sum();
        double target = targets.stream().mapToInt(AlignmentText::length).sum();
        return (target + SUPPOSED) / (source + SUPPOSED);
    }

    /** Only ways near the diagonal are looked at: two documents of the same text do not drift far apart. */
    private List<AlignedPair> pairs(Progress progress) {
        int rows = sources.size();
        int columns = targets.size();
        int band = LEAST_BAND + Math.abs(rows - columns) + rows / 20;
        int width = Math.min(columns, 2 * band) + 1;
        byte[][] came = new byte[rows + 1][];
        double[][] costs = new double[3][];
        for (int i = 0; i <= rows; i++) {
            progress.checkCancelled();
            progress.at(i, rows);
            came[i] = new byte[width];
            double[] row = new double[width];
            Arrays.fill(row, Double.POSITIVE_INFINITY);
            costs[i % 3] = row;
            int first = first(i, band, width);
            for (int j = first; j < first + width && j <= columns; j++) {
                if (i == 0 && j == 0) {
                    row[0] = 0;
                    continue;
                }
                for (Bead bead : Bead.values()) {
                    double before = at(costs, i - bead.sources, j - bead.targets, band, width);
                    if (before < Double.POSITIVE_INFINITY) {
                        double cost = before + cost(bead, i, j);
                        if (cost < row[j - first]) {
                            row[j - first] = cost;
                            came[i][j - first] = (byte) bead.ordinal();
                        }
                    }
                }
            }
        }
        List<AlignedPair> pairs = new ArrayList<>();
        for (int i = rows, j = columns; i > 0 || j > 0; ) {
            Bead bead = Bead.values()[came[i][j - first(i, band, width)]];
            pairs.add(pair(bead, i, j));
            i -= bead.sources;
            j -= bead.targets;
        }
        Collections.reverse(pairs);
        return pairs;
    }

    /** The first column that is looked at in a row. */
    private int first(int row, int band, int width) {
        int columns = targets.size();
        long diagonal = sources.isEmpty() ? 0 : (long) row * columns / sources.size();
        return (int) Math.max(0, Math.min(diagonal - band, columns + 1 - width));
    }

    private double at(double[][] costs, int i, int j, int band, int width) {
        if (i < 0 || j < 0) {
            return Double.POSITIVE_INFINITY;
        }
        int place = j - first(i, band, width);
        return place < 0 || place >= width ? Double.POSITIVE_INFINITY : costs[i % 3][place];
    }

    private double cost(Bead bead, int i, int j) {
        if (bead.sources == 0 || bead.targets == 0) {
            return bead.cost;
        }
        AlignmentText source = AlignmentText.joined(sources.subList(i - bead.sources, i));
        AlignmentText target = AlignmentText.joined(targets.subList(j - bead.targets, j));
        double cost = bead.cost + lengths(source, target) - evidence(source, target);
        boolean acrossUnits =
                source.unit().isEmpty() && bead.sources > 1 || target.unit().isEmpty() && bead.targets > 1;
        return acrossUnits ? cost + OTHER_UNIT : cost;
    }

    /** How unlikely it is that a translation's length differs so much, as cost. */
    private double lengths(AlignmentText source, AlignmentText target) {
        double mean = (source.length() + target.length() / ratio) / 2;
        if (mean == 0) {
            return 0;
        }
        double deviation = (target.length() - source.length() * ratio) / Math.sqrt(mean * VARIANCE * ratio);
        // The logarithm of the two tails of the normal distribution, by a bound that is good enough far out.
        return Math.min(20, deviation * deviation / 2 + 0.2 * Math.abs(deviation));
    }

    private static double evidence(AlignmentText source, AlignmentText target) {
        int shared = source.sharedNumbers(target);
        int alone = source.amountOfNumbers() + target.amountOfNumbers() - 2 * shared;
        double words = Math.min(MOST_FOR_WORDS, WORD_SHARED * source.sharedWords(target));
        double tags = source.tags() == target.tags() ? 0 : OTHER_TAGS;
        return NUMBER_SHARED * Math.min(3, shared) - NUMBER_ALONE * Math.min(3, alone) / 2 + words - tags;
    }

    private AlignedPair pair(Bead bead, int i, int j) {
        List<Integer> from = new ArrayList<>();
        for (int k = i - bead.sources; k < i; k++) {
            from.add(k);
        }
        List<Integer> to = new ArrayList<>();
        for (int k = j - bead.targets; k < j; k++) {
            to.add(k);
        }
        double gain = bead.cost - cost(bead, i, j);
        double confidence =
                bead.sources == 0 || bead.targets == 0 ? 0.5 : 1 / (1 + Math.exp(-(gain + 4 - bead.cost / 2)));
        return new AlignedPair(from, to, Math.round(confidence * 100) / 100.0);
    }
}
