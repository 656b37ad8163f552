package org.swaplane.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;

class SvgChartTest {
    private static Chart chart(Chart.Kind kind, int labels, int series) {
        List<String> names = new ArrayList<>();
        List<Double> values = new ArrayList<>();
        for (int i = 0; i < labels; i++) {
            names.add("Ferry & <co> \"" + i + "\" \u0001الرصيف");
            values.add(i * 3.5);
        }
        List<Chart.Series> all = new ArrayList<>();
        for (int i = 0; i < series; i++) {
            all.add(new Chart.Series("Series " + i, values));
        }
        return new Chart("Crossings", kind, "Hours", names, all);
    }

    private static Document parsed(String svg) throws Exception {
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(svg)));
    }

    @ParameterizedTest
    @CsvSource({
        "COLUMNS, 1, 1",
        "COLUMNS, 5, 3",
        "COLUMNS, 500, 4",
        "STACKED_ROWS, 1, 1",
        "STACKED_ROWS, 5, 4",
        "STACKED_ROWS, 500, 2",
        "LINE, 1, 1",
        "LINE, 5, 2",
        "LINE, 500, 1"
    })
    void everyChartIsWellFormedAndDrawsWithinItsFrame(Chart.Kind kind, int labels, int series) throws Exception {
        for (boolean mirrored : List.of(false, true)) {
            Element svg = parsed(SvgChart.of(chart(kind, labels, series), "c1", mirrored))
                    .getDocumentElement();
            String[] frame = svg.getAttribute("viewBox").split(" ");
            NodeList bars = svg.getElementsByTagName("rect");
            for (int i = 0; i < bars.getLength(); i++) {
                Element bar = (Element) bars.item(i);
                if (bar.getAttribute("class").equals("bar")) {
                    double x = Double.parseDouble(bar.getAttribute("x"));
                    double y = Double.parseDouble(bar.getAttribute("y"));
                    assertThat(x).isGreaterThanOrEqualTo(0);
                    assertThat(x + Double.parseDouble(bar.getAttribute("width")))
                            .isLessThanOrEqualTo(Double.parseDouble(frame[2]));
                    assertThat(y).isGreaterThanOrEqualTo(0);
                    assertThat(y + Double.parseDouble(bar.getAttribute("height")))
                            .isLessThanOrEqualTo(Double.parseDouble(frame[3]));
                }
            }
        }
    }

    @Test
    void withoutValuesItSaysSo() {
        assertThat(SvgChart.of(chart(Chart.Kind.COLUMNS, 0, 2), "c", false)).contains("Nothing to show");
        assertThat(SvgChart.of(chart(Chart.Kind.COLUMNS, 2, 0), "c", false)).contains("Nothing to show");
    }

    @Test
    void ofManyRowsTheLastOnesAreOne() {
        Chart few = chart(Chart.Kind.STACKED_ROWS, 500, 1).atMost(40, "Others");

        assertThat(few.labels()).hasSize(40).last().isEqualTo("Others");
        double all = chart(Chart.Kind.STACKED_ROWS, 500, 1).series().get(0).values().stream()
                .mapToDouble(Double::doubleValue)
                .sum();
        assertThat(few.series().get(0).values().stream()
                        .mapToDouble(Double::doubleValue)
                        .sum())
                .isEqualTo(all);
    }

    @Test
    void ticksAreRoundReachTheGreatestValueAndCountNoHalvesOfWholeThings() {
        Chart whole =
                new Chart("Errors", Chart.Kind.COLUMNS, "", List.of("a"), List.of(new Chart.Series("", List.of(2.0))));
        Chart parts =
                new Chart("Hours", Chart.Kind.COLUMNS, "", List.of("a"), List.of(new Chart.Series("", List.of(0.37))));

        assertThat(whole.ticks()).containsExactly(0.0, 1.0, 2.0);
        assertThat(parts.ticks()).containsExactly(0.0, 0.1, 0.2, 0.30000000000000004, 0.4);
    }
}
