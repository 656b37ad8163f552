package org.swaplane.report;

import com.ibm.icu.util.ULocale;
import freemarker.core.HTMLOutputFormat;
import freemarker.core.TemplateHTMLOutputModel;
import freemarker.template.Configuration;
import freemarker.template.TemplateException;
import freemarker.template.TemplateExceptionHandler;
import freemarker.template.TemplateModelException;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TimeZone;
import org.swaplane.wording.Wording;

/** One self-contained page; everything that is put in is escaped. */
final class HtmlReport {
    private static final Configuration TEMPLATES = configuration();

    private HtmlReport() {}

    private static Configuration configuration() {
        Configuration configuration = new Configuration(Configuration.VERSION_2_3_34);
        configuration.setClassForTemplateLoading(HtmlReport.class, "");
        configuration.setDefaultEncoding("UTF-8");
        configuration.setOutputFormat(HTMLOutputFormat.INSTANCE);
        configuration.setLocale(Locale.ROOT);
        configuration.setNumberFormat("computer");
        configuration.setTimeZone(TimeZone.getTimeZone("UTC"));
        configuration.setTemplateExceptionHandler(TemplateExceptionHandler.RETHROW_HANDLER);
        configuration.setLogTemplateExceptions(false);
        return configuration;
    }

    static void write(Report report, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        try {
            TEMPLATES
                    .getTemplate("report.ftlh")
                    .process(
                            Map.of(
                                    "report",
                                    report,
                                    "charts",
                                    charts(report),
                                    "nothing",
                                    Wording.text("report.chart.none"),
                                    "direction",
                                    isRightToLeft() ? "rtl" : "ltr",
                                    "language",
                                    Wording.locale().toLanguageTag()),
                            writer);
        } catch (TemplateException e) {
            throw new IllegalStateException("the template does not fit a report", e);
        }
        writer.flush();
    }

    private static boolean isRightToLeft() {
        return ULocale.forLocale(Wording.locale()).isRightToLeft();
    }

    /** The charts of the sections, empty where there is none; they are markup already. */
    private static List<TemplateHTMLOutputModel> charts(Report report) throws TemplateModelException {
        List<TemplateHTMLOutputModel> charts = new ArrayList<>();
        for (Report.Section section : report.sections()) {
            String id = "c" + charts.size();
            charts.add(HTMLOutputFormat.INSTANCE.fromMarkup(section.chart()
                    .map(chart -> SvgChart.of(chart, id, isRightToLeft()))
                    .orElse("")));
        }
        return charts;
    }
}
