package org.swaplane.report;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.swaplane.format.NewFile;
import org.swaplane.task.CannotProceedException;

/** The forms in which a report can leave: a page for any browser, a document, a workbook. */
public enum ReportForm {
    HTML {
        @Override
        public void write(Report report, OutputStream out) throws IOException {
            HtmlReport.write(report, out);
        }
    },
    DOCX {
        @Override
        public void write(Report report, OutputStream out) throws IOException {
            new DocxReport(report).write(out);
        }
    },
    XLSX {
        @Override
        public void write(Report report, OutputStream out) throws IOException {
            XlsxReport.write(report, out);
        }
    },
    /** The tables alone. */
    CSV {
        @Override
        public void write(Report report, OutputStream out) throws IOException {
            CsvReport.write(report, out);
        }
    },
    /** For programs. */
    JSON {
        @Override
        public void write(Report report, OutputStream out) throws IOException {
            JsonReport.write(report, out);
        }
    };

    public abstract void write(Report report, OutputStream out) throws IOException;

    public String extension() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The form that the extension of a file asks for. */
    private static Optional<ReportForm> of(Path path) {
        String name = path.getFileName().toString().toLowerCase(Locale.ROOT);
        return Arrays.stream(values())
                .filter(each -> name.endsWith('.' + each.extension()))
                .findFirst();
    }

    /**
     * Writes the report beside and moves it to {@code path}, in the form that its extension asks for.
     *
     * @throws CannotProceedException when the extension stands for no form, or the file is there and may not be replaced
     */
    public static void write(Report report, Path path, boolean replace) throws IOException {
        ReportForm form = of(path).orElseThrow(() -> unknown(path));
        NewFile.write(path, replace, out -> form.write(report, out));
    }

    /** Refuses an extension that stands for no form, before the work begins. */
    public static void require(Path path) {
        if (of(path).isEmpty()) {
            throw unknown(path);
        }
    }

    private static CannotProceedException unknown(Path path) {
        return new CannotProceedException(path.toString(), "problem.report-form");
    }
}
