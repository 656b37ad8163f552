package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Segment;
import org.swaplane.report.CheckReport;
import org.swaplane.report.ReportForm;
import org.swaplane.task.Progress;

/** Reports of what the checks find in tracks as they stand now, with what was set aside and why. */
public final class CheckReports {
    private final Lane lane;
    private final CheckRun checks;

    public CheckReports(Lane lane, CheckRun checks) {
        this.lane = lane;
        this.checks = checks;
    }

    /** Writes a report of these tracks: in the form that the extension of {@code path} asks for. */
    public void write(List<Track> tracks, Path path, boolean replace, Progress progress) throws IOException {
        List<CheckReport.Line> lines = new ArrayList<>();
        List<CheckReport.NoteLine> notes = new ArrayList<>();
        int segments = 0;
        for (Track track : tracks) {
            TrackSnapshot now = track.now(progress);
            segments += now.size();
            add(now, lines, progress);
            addNotes(now, notes);
        }
        ReportForm.write(new CheckReport(lane.name(), segments, lines, notes).report(), path, replace);
    }

    private void addNotes(TrackSnapshot track, List<CheckReport.NoteLine> notes) {
        Map<String, Integer> positions = new HashMap<>();
        for (int i = 0; i < track.size(); i++) {
            positions.put(track.segment(i).key(), i);
        }
        for (OwnNote note : lane.notes().of(track.track())) {
            Integer index = positions.get(note.key());
            if (!note.settled() && index != null) {
                notes.add(new CheckReport.NoteLine(
                        track.name(),
                        index + 1,
                        note.author(),
                        LocalDate.ofInstant(note.at(), lane.clock().getZone()).toString(),
                        note.text(),
                        track.segment(index).source().plainText(),
                        track.target(index).plainText()));
            }
        }
    }

    private void add(TrackSnapshot track, List<CheckReport.Line> lines, Progress progress) {
        List<Finding> findings = checks.run(track.size(), track::checked, progress);
        Decisions decisions = lane.findings().of(track.track());
        for (Finding finding : findings) {
            Segment segment = track.segment(finding.segment());
            Optional<SetAside> aside = decisions.of(finding);
            lines.add(new CheckReport.Line(
                    track.name(),
                    finding.segment() + 1,
                    finding,
                    segment.source().plainText(),
                    track.target(finding.segment()).plainText(),
                    finding.suggestion()
                            .map(fixed -> TagNotation.write(fixed, segment.source()))
                            .orElse(""),
                    aside.map(each -> text("report.checks.because", each.reason(), each.who()))
                            .orElse("")));
        }
    }
}
