package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.swaplane.release.ReleasedFile;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;

/** The page that says what was released: its files with their sums, its conditions, and what was set aside. */
final class ReleaseReceipt {
    private final FindingStore findings;

    ReleaseReceipt(FindingStore findings) {
        this.findings = findings;
    }

    /** @param tracks as they were released */
    Report of(
            Release release,
            String lane,
            List<TrackSnapshot> tracks,
            List<ReleasedFile> files,
            List<Release.Condition> asked) {
        Report.Builder report = Report.titled(text("report.receipt.title", release.number(), lane))
                .fact(text("report.receipt.lane"), lane)
                .fact(
                        text("report.receipt.at"),
                        release.at().truncatedTo(ChronoUnit.SECONDS).toString())
                .fact(text("report.receipt.by"), release.who())
                .fact(text("report.receipt.file"), release.place());
        if (!release.sha256().isEmpty()) {
            report.fact("SHA-256", Cell.of(release.sha256(), Cell.Tone.CODE));
        }
        report.fact(text("report.receipt.files"), Cell.of(release.files()))
                .fact(text("report.receipt.segments"), Cell.of(release.segments()))
                .fact(text("report.receipt.words"), Cell.of(release.words()));
        if (!release.reason().isEmpty()) {
            report.fact(text("report.receipt.waived"), Cell.of(release.reason(), Cell.Tone.BAD));
        }
        report.section(Report.Section.ofTable(
                text("report.receipt.files"),
                List.of(
                        text("report.receipt.file"),
                        text("report.receipt.original"),
                        text("report.receipt.language"),
                        text("report.receipt.words"),
                        text("report.receipt.bytes"),
                        "SHA-256"),
                files.stream()
                        .map(each -> List.of(
                                Cell.of(each.path()),
                                Cell.of(each.original()),
                                Cell.of(each.targetLanguage()),
                                Cell.of(each.words()),
                                Cell.of(each.bytes()),
                                Cell.of(each.sha256(), Cell.Tone.CODE)))
                        .toList()));
        Map<Long, Track> byId = new HashMap<>();
        tracks.forEach(each -> byId.put(each.track().id(), each.track()));
        report.section(Report.Section.ofTable(
                text("report.receipt.conditions"),
                List.of(
                        text("report.receipt.file"),
                        text("report.receipt.condition"),
                        text("report.receipt.state"),
                        text("report.receipt.reason")),
                asked.stream()
                        .map(each -> List.of(
                                Cell.of(Packaging.placed(byId.get(each.track()))),
                                Cell.of(text("gate." + each.id() + ".name")),
                                each.met()
                                        ? Cell.of(text("report.receipt.met"), Cell.Tone.GOOD)
                                        : Cell.of(text("report.receipt.not-met"), Cell.Tone.BAD),
                                Cell.of(each.reason())))
                        .toList()));
        List<String> originals = tracks.stream()
                .map(each ->
                        Packaging.placed(each.track()) + ": " + each.track().sha256())
                .toList();
        report.section(Report.Section.ofItems(text("report.receipt.original-sums"), originals));
        List<String> setAside = tracks.stream().flatMap(this::setAside).toList();
        if (!setAside.isEmpty()) {
            report.section(Report.Section.ofItems(text("report.receipt.set-aside"), setAside));
        }
        return report.build();
    }

    private Stream<String> setAside(TrackSnapshot track) {
        return findings.of(track.track()).all().stream()
                .map(each -> Packaging.placed(track.track()) + ", " + place(track, each) + each.message() + " ("
                        + each.reason() + ", " + each.who() + ")");
    }

    /** Number of the segment where it was found, in this file. */
    private static String place(TrackSnapshot track, SetAside decision) {
        OptionalInt index = track.index(decision.key());
        return index.isPresent() ? index.getAsInt() + 1 + ": " : "";
    }
}
