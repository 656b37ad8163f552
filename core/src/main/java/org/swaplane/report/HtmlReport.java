package org.swaplane.report;

import freemarker.core.HTMLOutputFormat;
import freemarker.template.Configuration;
import freemarker.template.TemplateException;
import freemarker.template.TemplateExceptionHandler;
import java.io.IOException;
import java.io.StringWriter;
import java.util.Locale;
import java.util.Map;
import java.util.TimeZone;

/** Fills a template; everything that is put in is escaped. */
public final class HtmlReport {
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

    /** The report from the template {@code name.ftlh} in this package. */
    public static String render(String name, Map<String, Object> model) throws IOException {
        StringWriter out = new StringWriter();
        try {
            TEMPLATES.getTemplate(name + ".ftlh").process(model, out);
        } catch (TemplateException e) {
            throw new IllegalStateException("the template " + name + " does not fit its data", e);
        }
        return out.toString();
    }
}
