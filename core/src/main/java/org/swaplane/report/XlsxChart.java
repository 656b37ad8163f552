package org.swaplane.report;

import java.util.List;
import java.util.stream.IntStream;
import javax.xml.namespace.QName;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xddf.usermodel.XDDFColor;
import org.apache.poi.xddf.usermodel.XDDFLineProperties;
import org.apache.poi.xddf.usermodel.XDDFShapeProperties;
import org.apache.poi.xddf.usermodel.XDDFSolidFillProperties;
import org.apache.poi.xddf.usermodel.chart.AxisPosition;
import org.apache.poi.xddf.usermodel.chart.BarDirection;
import org.apache.poi.xddf.usermodel.chart.BarGrouping;
import org.apache.poi.xddf.usermodel.chart.ChartTypes;
import org.apache.poi.xddf.usermodel.chart.LegendPosition;
import org.apache.poi.xddf.usermodel.chart.XDDFBarChartData;
import org.apache.poi.xddf.usermodel.chart.XDDFCategoryAxis;
import org.apache.poi.xddf.usermodel.chart.XDDFChartData;
import org.apache.poi.xddf.usermodel.chart.XDDFDataSource;
import org.apache.poi.xddf.usermodel.chart.XDDFDataSourcesFactory;
import org.apache.poi.xddf.usermodel.chart.XDDFValueAxis;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import org.apache.poi.xssf.usermodel.XSSFChart;
import org.apache.poi.xssf.usermodel.XSSFClientAnchor;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.xmlbeans.XmlCursor;

/** A chart beside the table of a workbook's sheet. Its figures stand on a sheet of their own, since tables are written as a stream. */
final class XlsxChart {
    private static final int COLUMNS = 10;
    private static final int ROWS = 18;
    private static final byte[] INK = {0x1d, 0x2b, 0x45};
    private static final List<byte[]> SHADES = List.of(
            INK,
            new byte[] {(byte) 0x9f, (byte) 0xc4, (byte) 0xbf},
            new byte[] {(byte) 0xea, (byte) 0xd9, (byte) 0xb4},
            new byte[] {(byte) 0xff, (byte) 0xff, (byte) 0xff});

    private final SXSSFWorkbook workbook;
    private final Chart chart;

    XlsxChart(SXSSFWorkbook workbook, Chart chart) {
        this.workbook = workbook;
        this.chart = chart;
    }

    void place(String sheetName, int column) {
        String figures = writeFigures(sheetName);
        XSSFSheet sheet = workbook.getXSSFWorkbook().getSheet(sheetName);
        XSSFClientAnchor anchor = new XSSFClientAnchor(0, 0, 0, 0, column, 1, column + COLUMNS, 1 + ROWS);
        XSSFChart drawn = sheet.createDrawingPatriarch().createChart(anchor);
        drawn.setTitleText(chart.title());
        drawn.setTitleOverlay(false);
        if (chart.series().size() > 1) {
            drawn.getOrAddLegend().setPosition(LegendPosition.BOTTOM);
        }
        XDDFCategoryAxis names = drawn.createCategoryAxis(AxisPosition.BOTTOM);
        XDDFValueAxis values = drawn.createValueAxis(AxisPosition.LEFT);
        values.setTitle(chart.unit().isEmpty() ? " " : chart.unit());
        boolean line = chart.kind() == Chart.Kind.LINE;
        XDDFChartData data = drawn.createData(line ? ChartTypes.LINE : ChartTypes.BAR, names, values);
        if (data instanceof XDDFBarChartData bars) {
            boolean stacked = chart.kind() == Chart.Kind.STACKED_ROWS;
            bars.setBarDirection(stacked ? BarDirection.BAR : BarDirection.COL);
            bars.setBarGrouping(stacked ? BarGrouping.STACKED : BarGrouping.CLUSTERED);
        }
        int rows = chart.labels().size();
        XDDFDataSource<String> labels =
                XDDFDataSourcesFactory.fromArray(chart.labels().toArray(String[]::new), range(figures, rows, 0), 0);
        for (int s = 0; s < chart.series().size(); s++) {
            Chart.Series each = chart.series().get(s);
            Double[] numbers = each.values().stream()
                    .map(value -> value.isNaN() ? null : value)
                    .toArray(Double[]::new);
            XDDFChartData.Series series = data.addSeries(
                    labels, XDDFDataSourcesFactory.fromArray(numbers, range(figures, rows, s + 1), s + 1));
            series.setTitle(each.name().isEmpty() ? chart.title() : each.name(), null);
            if (!line) {
                series.setShapeProperties(shade(s));
            }
        }
        drawn.plot(data);
        if (chart.kind() == Chart.Kind.STACKED_ROWS) {
            // Written as it is: the schema that ships knows the element, and not the type of its value.
            try (XmlCursor overlap = drawn.getCTChart()
                    .getPlotArea()
                    .getBarChartArray(0)
                    .addNewOverlap()
                    .newCursor()) {
                overlap.setAttributeText(new QName("val"), "100");
            }
        }
    }

    /** From dark to light, so that series differ without colour, too; each with an outline. */
    private static XDDFShapeProperties shade(int series) {
        XDDFShapeProperties properties = new XDDFShapeProperties();
        properties.setFillProperties(new XDDFSolidFillProperties(XDDFColor.from(SHADES.get(series % SHADES.size()))));
        properties.setLineProperties(new XDDFLineProperties(new XDDFSolidFillProperties(XDDFColor.from(INK))));
        return properties;
    }

    private static String range(String sheet, int rows, int column) {
        return new CellRangeAddress(1, rows, column, column).formatAsString(sheet, true);
    }

    private String writeFigures(String beside) {
        String name = beside.substring(0, Math.min(beside.length(), 28)) + " *";
        var sheet = workbook.createSheet(name.replace('*', '+'));
        var heads = sheet.createRow(0);
        IntStream.range(0, chart.series().size()).forEach(s -> heads.createCell(s + 1)
                .setCellValue(chart.series().get(s).name()));
        for (int i = 0; i < chart.labels().size(); i++) {
            var row = sheet.createRow(i + 1);
            row.createCell(0).setCellValue(chart.labels().get(i));
            for (int s = 0; s < chart.series().size(); s++) {
                double value = chart.series().get(s).values().get(i);
                if (!Double.isNaN(value)) {
                    row.createCell(s + 1).setCellValue(value);
                }
            }
        }
        return sheet.getSheetName();
    }
}
