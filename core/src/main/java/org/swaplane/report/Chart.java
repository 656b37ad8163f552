package org.swaplane.report;

import java.util.ArrayList;
import java.util.List;

/**
 * Figures to look at. Each series has a value for each label; those that are not known are {@link Double#NaN}.
 *
 * @param unit of the values, for the axis; may be empty
 */
public record Chart(String title, Kind kind, String unit, List<String> labels, List<Series> series) {
    /** What it looks like. */
    public enum Kind {
        /** The series of a label side by side, upright: things with an order of their own, such as days. */
        COLUMNS,
        /** The series of a label one after the other, lying: things with long names. */
        STACKED_ROWS,
        /** A line through the values, for what goes on. */
        LINE
    }

    /** One row of values. */
    public record Series(String name, List<Double> values) {
        public Series {
            values = List.copyOf(values);
        }

        private double value(int label) {
            double value = values.get(label);
            return Double.isNaN(value) ? 0 : value;
        }
    }

    public Chart {
        labels = List.copyOf(labels);
        series = List.copyOf(series);
        for (Series each : series) {
            if (each.values().size() != labels.size()) {
                throw new IllegalArgumentException(
                        each.name() + " has " + each.values().size() + " values for " + labels.size() + " labels");
            }
        }
    }

    public boolean isEmpty() {
        return labels.isEmpty() || series.isEmpty();
    }

    /** The greatest value to be shown; of stacked rows the longest row. */
    public double most() {
        double most = 0;
        for (int i = 0; i < labels.size(); i++) {
            double sum = 0;
            for (Series each : series) {
                sum = kind == Kind.STACKED_ROWS ? sum + each.value(i) : Math.max(sum, each.value(i));
            }
            most = Math.max(most, sum);
        }
        return most;
    }

    /** The same with the labels after the first ones put together under one name. */
    public Chart atMost(int rows, String others) {
        if (labels.size() <= rows) {
            return this;
        }
        List<String> kept = new ArrayList<>(labels.subList(0, rows - 1));
        kept.add(others);
        List<Series> together = series.stream()
                .map(each -> {
                    List<Double> values = new ArrayList<>(each.values().subList(0, rows - 1));
                    values.add(each.values().subList(rows - 1, labels.size()).stream()
                            .mapToDouble(value -> value.isNaN() ? 0 : value)
                            .sum());
                    return new Series(each.name(), values);
                })
                .toList();
        return new Chart(title, kind, unit, kept, together);
    }

    /** Round values for the axis, from 0 to one that is not below the greatest. */
    public List<Double> ticks() {
        double most = most();
        if (most <= 0) {
            return List.of(0.0, 1.0);
        }
        // Half an error is not to be seen.
        boolean whole = series.stream()
                .flatMap(each -> each.values().stream())
                .allMatch(value -> value.isNaN() || value == Math.rint(value));
        double rough = whole ? Math.max(1, most / 4) : most / 4;
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double step = power * (rough / power <= 1 ? 1 : rough / power <= 2 ? 2 : rough / power <= 5 ? 5 : 10);
        List<Double> ticks = new ArrayList<>();
        for (int i = 0; ticks.isEmpty() || ticks.get(ticks.size() - 1) < most - step * 1e-9; i++) {
            ticks.add(i * step);
        }
        return ticks;
    }
}
