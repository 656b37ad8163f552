package org.swaplane.report;

import com.ibm.icu.text.NumberFormat;
import java.util.List;
import java.util.Locale;
import org.swaplane.wording.Wording;

/** A chart as inline SVG. Series differ by pattern as well as by colour, so that it can be read in print. */
final class SvgChart {
    private static final int WIDTH = 760;
    private static final int HEIGHT = 240;
    private static final int TOP = 12;
    private static final int BOTTOM = 46;
    private static final int AXIS = 56;
    private static final int ROW = 26;
    private static final int LABELS = 230;
    private static final int MOST_ROWS = 40;
    private static final double CHARACTER = 6.6;
    private static final int LONGEST = 34;
    private static final int STYLES = 4;

    private final Chart chart;
    private final String id;
    private final boolean mirrored;
    private final StringBuilder svg = new StringBuilder();
    private final NumberFormat numbers = NumberFormat.getInstance(Wording.formats());

    /** @param id tells its patterns from those of other charts on the page */
    private SvgChart(Chart chart, String id, boolean mirrored) {
        this.chart = chart;
        this.id = id;
        this.mirrored = mirrored;
        numbers.setMaximumFractionDigits(2);
    }

    static String of(Chart chart, String id, boolean rightToLeft) {
        return new SvgChart(
                        chart.kind() == Chart.Kind.STACKED_ROWS
                                ? chart.atMost(MOST_ROWS, Wording.text("report.chart.others"))
                                : chart,
                        id,
                        rightToLeft)
                .draw();
    }

    private String draw() {
        if (chart.isEmpty()) {
            return "<p class=\"none\">" + escaped(Wording.text("report.chart.none")) + "</p>";
        }
        boolean rows = chart.kind() == Chart.Kind.STACKED_ROWS;
        int height = rows ? TOP + chart.labels().size() * ROW + BOTTOM : HEIGHT;
        int legend = chart.series().size() > 1 ? 24 : 0;
        svg.append("<svg class=\"chart\" role=\"img\" viewBox=\"0 0 ")
                .append(WIDTH)
                .append(' ')
                .append(height + legend)
                .append("\" direction=\"ltr\"><title>")
                .append(escaped(chart.title()))
                .append("</title><defs>");
        for (int i = 0; i < STYLES; i++) {
            pattern(i);
        }
        svg.append("</defs>");
        if (rows) {
            drawRows(height);
        } else {
            drawUpright();
        }
        drawLegend(height);
        return svg.append("</svg>").toString();
    }

    private void pattern(int style) {
        svg.append("<pattern id=\"").append(id).append('p').append(style);
        svg.append("\" width=\"6\" height=\"6\" patternUnits=\"userSpaceOnUse\">");
        svg.append("<rect width=\"6\" height=\"6\" class=\"s").append(style).append("\"/>");
        switch (style) {
            case 1 -> svg.append("<path d=\"M-1,7 L7,-1 M-1,1 L1,-1 M5,7 L7,5\" class=\"hatch\"/>");
            case 2 -> svg.append("<circle cx=\"3\" cy=\"3\" r=\"1.2\" class=\"dot\"/>");
            case 3 -> svg.append("<path d=\"M0,3 L6,3\" class=\"hatch\"/>");
            default -> svg.append("");
        }
        svg.append("</pattern>");
    }

    private double x(double x, double width) {
        return mirrored ? WIDTH - x - width : x;
    }

    private void drawUpright() {
        List<Double> ticks = chart.ticks();
        double most = ticks.get(ticks.size() - 1);
        numbers.setMaximumFractionDigits((int) Math.max(2, Math.ceil(-Math.log10(ticks.get(1)))));
        double room = HEIGHT - TOP - BOTTOM;
        for (double tick : ticks) {
            double y = TOP + room * (1 - tick / most);
            line(AXIS, y, WIDTH - 4, y, "grid");
            text(AXIS - 6, y + 4, numbers.format(tick), mirrored ? "start" : "end");
        }
        if (!chart.unit().isEmpty()) {
            text(AXIS, HEIGHT - 4, chart.unit(), mirrored ? "end" : "start");
        }
        double slot = (WIDTH - AXIS - 8.0) / chart.labels().size();
        double widest = chart.labels().stream()
                .mapToInt(label -> Math.min(14, label.length()))
                .max()
                .orElse(1);
        int every = Math.max(1, (int) Math.ceil((widest * CHARACTER + 6) / slot));
        for (int i = 0; i < chart.labels().size(); i++) {
            double at = AXIS + slot * i;
            if (chart.kind() == Chart.Kind.COLUMNS) {
                columns(i, at, slot, room, most);
            }
            if (i % every == 0) {
                text(
                        at + slot / 2,
                        HEIGHT - BOTTOM + 16,
                        shortened(chart.labels().get(i), 14),
                        "middle");
            }
        }
        if (chart.kind() == Chart.Kind.LINE) {
            for (int s = 0; s < chart.series().size(); s++) {
                lines(s, slot, room, most);
            }
        }
    }

    private void columns(int label, double at, double slot, double room, double most) {
        int count = chart.series().size();
        double width = Math.min(36, slot * 0.8 / count);
        double begin = at + (slot - width * count) / 2;
        for (int s = 0; s < count; s++) {
            double value = chart.series().get(s).values().get(label);
            if (value > 0) {
                double height = room * value / most;
                bar(begin + s * width, TOP + room - height, width, height, s, label);
            }
        }
    }

    private void lines(int s, double slot, double room, double most) {
        StringBuilder path = new StringBuilder();
        boolean broken = true;
        List<Double> values = chart.series().get(s).values();
        for (int i = 0; i < values.size(); i++) {
            double value = values.get(i);
            if (Double.isNaN(value)) {
                broken = true;
                continue;
            }
            double x = x(AXIS + slot * i + slot / 2, 0);
            double y = TOP + room * (1 - Math.max(0, value) / most);
            path.append(broken ? 'M' : 'L')
                    .append(number(x))
                    .append(',')
                    .append(number(y))
                    .append(' ');
            broken = false;
            svg.append("<circle cx=\"").append(number(x)).append("\" cy=\"").append(number(y));
            svg.append("\" r=\"3.5\" class=\"point\"><title>")
                    .append(said(s, i))
                    .append("</title></circle>");
        }
        svg.append("<path class=\"line l")
                .append(s % STYLES)
                .append("\" d=\"")
                .append(path)
                .append("\"/>");
    }

    private void drawRows(int height) {
        double most = chart.most() <= 0 ? 1 : chart.most();
        double room = WIDTH - LABELS - 70.0;
        line(LABELS, TOP, LABELS, height - BOTTOM + 4.0, "axis");
        for (int i = 0; i < chart.labels().size(); i++) {
            double y = TOP + i * (double) ROW;
            text(LABELS - 8, y + 16, shortened(chart.labels().get(i), LONGEST), mirrored ? "start" : "end");
            double at = LABELS;
            double sum = 0;
            for (int s = 0; s < chart.series().size(); s++) {
                double value = chart.series().get(s).values().get(i);
                if (value > 0) {
                    double width = room * value / most;
                    bar(at, y + 4, width, ROW - 8.0, s, i);
                    at += width;
                    sum += value;
                }
            }
            text(at + 6, y + 16, numbers.format(sum), mirrored ? "end" : "start");
        }
    }

    private void drawLegend(int height) {
        if (chart.series().size() < 2) {
            return;
        }
        double at = AXIS;
        for (int s = 0; s < chart.series().size(); s++) {
            String name = chart.series().get(s).name();
            rectangle(at, height + 6.0, 14, 12, s);
            svg.append("/>");
            text(at + 20, height + 16.0, name, mirrored ? "end" : "start");
            at += 36 + name.length() * CHARACTER;
        }
    }

    private void bar(double x, double y, double width, double height, int s, int label) {
        rectangle(x, y, width, height, s);
        svg.append("><title>").append(said(s, label)).append("</title></rect>");
    }

    private void rectangle(double x, double y, double width, double height, int s) {
        svg.append("<rect x=\"").append(number(x(x, width))).append("\" y=\"").append(number(y));
        svg.append("\" width=\"").append(number(width)).append("\" height=\"").append(number(height));
        svg.append("\" fill=\"url(#").append(id).append('p').append(s % STYLES).append(")\" class=\"bar\"");
    }

    private void line(double x, double y, double toX, double toY, String look) {
        svg.append("<line x1=\"").append(number(x(x, 0))).append("\" y1=\"").append(number(y));
        svg.append("\" x2=\"").append(number(x(toX, 0))).append("\" y2=\"").append(number(toY));
        svg.append("\" class=\"").append(look).append("\"/>");
    }

    private void text(double x, double y, String text, String anchor) {
        svg.append("<text x=\"").append(number(x(x, 0))).append("\" y=\"").append(number(y));
        svg.append("\" text-anchor=\"").append(anchor).append("\" unicode-bidi=\"plaintext\">");
        svg.append(escaped(text)).append("</text>");
    }

    private String said(int s, int label) {
        String name = chart.series().get(s).name();
        String value = numbers.format(chart.series().get(s).values().get(label));
        return escaped(chart.labels().get(label) + (name.isEmpty() ? "" : ", " + name) + ": " + value);
    }

    private static String shortened(String label, int most) {
        return label.codePointCount(0, label.length()) <= most
                ? label
                : label.substring(0, label.offsetByCodePoints(0, most - 1)) + '…';
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    private static String escaped(String text) {
        StringBuilder escaped = new StringBuilder();
        text.codePoints().filter(c -> c >= 0x20).forEach(c -> {
            switch (c) {
                case '<' -> escaped.append("&lt;");
                case '>' -> escaped.append("&gt;");
                case '&' -> escaped.append("&amp;");
                case '"' -> escaped.append("&quot;");
                default -> escaped.appendCodePoint(c);
            }
        });
        return escaped.toString();
    }
}
