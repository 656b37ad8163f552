package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.function.Supplier;
import org.swaplane.report.Report;
import org.swaplane.report.ReportForm;
import picocli.CommandLine.Option;

/** The report that a command writes besides what it prints, shared by all that do. */
final class ReportOptions {
    @Option(
            names = "-o",
            paramLabel = "REPORT",
            description = "Also writes a report: .html, .docx, .xlsx, .csv or .json.")
    private Path report;

    @Option(names = "--force", description = "Replace REPORT when it exists.")
    private boolean force;

    /** Refuses a report in no known form, before the work begins. */
    void check() {
        if (report != null) {
            ReportForm.require(report);
        }
    }

    /** Writes the report where one is asked for. */
    void write(Supplier<Report> made) throws IOException {
        if (report != null) {
            ReportForm.write(made.get(), report, force);
        }
    }
}
