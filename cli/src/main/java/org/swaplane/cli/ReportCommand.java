package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import org.swaplane.effort.Period;
import org.swaplane.format.FormatRegistry;
import org.swaplane.jobreport.JobFacts;
import org.swaplane.jobreport.JobReport;
import org.swaplane.jobreport.QualityHistory;
import org.swaplane.jobreport.ReportPart;
import org.swaplane.jobreport.ReportProfile;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Track;
import org.swaplane.report.Report;
import org.swaplane.report.ReportForm;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Wording;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What a lane took, how good it is, what it costs. */
@Command(
        name = "report",
        description = "Reports what a lane took: effort, changes, quality, amounts, trips, checks, delivery."
                + " Without -o it prints the tables as comma-separated values, with --json one JSON object.")
final class ReportCommand implements Callable<Integer> {
    @Parameters(paramLabel = "LANE", description = "The folder of the lane; it is only read.")
    private Path folder;

    @Option(names = "-o", paramLabel = "OUT", description = "The report: .html, .docx, .xlsx, .csv or .json.")
    private Path out;

    @Option(names = "--force", description = "Replace OUT when it exists.")
    private boolean force;

    @Option(
            names = "--parts",
            split = ",",
            paramLabel = "PART",
            description =
                    "effort, changes, quality, amounts, trips, checks, delivery; all that the profile has without.")
    private List<String> parts = List.of();

    /** Who reads it. */
    enum Reader {
        INTERNAL,
        CLIENT
    }

    @Option(
            names = "--profile",
            paramLabel = "PROFILE",
            description = "internal, or client: without rates, names and times.")
    private Reader profile = Reader.INTERNAL;

    @Option(names = "--target", split = ",", paramLabel = "LANG", description = "Only files in these languages.")
    private List<String> languages = List.of();

    @Option(names = "--file", split = ",", paramLabel = "NAME", description = "Only these files, by name.")
    private List<String> names = List.of();

    @Option(names = "--from", paramLabel = "DATE", description = "The first day, such as 2026-11-01.")
    private LocalDate from;

    @Option(names = "--to", paramLabel = "DATE", description = "The last day.")
    private LocalDate to;

    @Option(
            names = "--zone",
            paramLabel = "ZONE",
            description = "Where days begin, such as Europe/Berlin; UTC without.")
    private ZoneId zone = ZoneId.of("UTC");

    @Option(names = "--language", paramLabel = "LANG", description = "The language of the report, such as de.")
    private String language = "en";

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Override
    public Integer call() throws Exception {
        if (out != null) {
            ReportForm.require(out);
        }
        if (from != null && to != null && to.isBefore(from)) {
            throw new CannotProceedException("--to", "problem.period", to.toString(), from.toString());
        }
        ReportProfile told = profile == Reader.CLIENT ? ReportProfile.CLIENT : ReportProfile.INTERNAL;
        ReportProfile chosen = parts.isEmpty() ? told : told.of(parts());
        Clock clock = Clock.systemUTC();
        try (Lane lane = Lane.openForReading(folder, FormatRegistry.ofInstalled(), clock)) {
            List<Track> tracks = lane.tracks().stream().filter(this::isChosen).toList();
            Period period = new Period(Optional.ofNullable(from), Optional.ofNullable(to), zone);
            return Wording.in(Locale.forLanguageTag(language), () -> {
                JobReport report = new JobReport(
                        JobFacts.read(lane, tracks, period, Progress.NONE),
                        chosen,
                        lane.references().checks(),
                        QualityHistory.read(lane, List.of(), "", FormatRegistry.ofInstalled(), clock, Progress.NONE));
                return write(report.report(Progress.NONE));
            });
        }
    }

    private Set<ReportPart> parts() {
        Set<ReportPart> chosen = EnumSet.noneOf(ReportPart.class);
        for (String part : parts) {
            chosen.add(ReportPart.of(part)
                    .orElseThrow(() -> new CannotProceedException("--parts", "problem.report-part", part)));
        }
        return chosen;
    }

    private boolean isChosen(Track track) {
        return (languages.isEmpty() || languages.contains(track.summary().targetLanguage()))
                && (names.isEmpty() || names.contains(track.name()));
    }

    private int write(Report report) throws IOException {
        if (out != null) {
            ReportForm.write(report, out, force);
        }
        if (json) {
            ReportForm.JSON.write(report, System.out);
        } else if (out == null) {
            ReportForm.CSV.write(report, System.out);
        }
        return ExitStatus.ALL_WELL;
    }
}
