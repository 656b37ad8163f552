package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.format.table.WorkbookRows;
import org.swaplane.format.xliff12.NewXliff12;
import org.swaplane.format.xliff2.NewXliff2;
import org.swaplane.proof.DocumentProof;
import org.swaplane.proof.Safeguards;
import org.swaplane.proof.StructureProof;
import org.swaplane.release.ReleaseForm;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;
import org.swaplane.report.ReportForm;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** Writes what a track holds into a file of some form, and reads it again. */
final class TrackOutput {
    private static final Pattern WITHOUT_SPACES = Pattern.compile("(?i)(ja|zh|th|lo|km|my)([-_].*)?");
    private static final int TARGET_COLUMN = 3;

    private final Lane lane;

    TrackOutput(Lane lane) {
        this.lane = lane;
    }

    /**
     * Writes the file and compares what can be read of it with the track.
     *
     * @return what is wrong with it; empty when nothing is
     */
    String write(TrackSnapshot track, ReleaseForm form, Path path, Progress progress) throws IOException {
        return switch (form) {
            case FILE -> writeFile(track, path, progress);
            case XLIFF -> isXliff(track) ? writeFile(track, path, progress) : writeXliff(track, path, progress);
            case TABLE -> writeTable(track, path);
            case TEXT -> writeText(track, path);
        };
    }

    /** What a translated document that was written lacks of its original; empty where nothing does. */
    String structure(TrackSnapshot track, Path written) throws IOException {
        if (!track.isDocument()) {
            return "";
        }
        Path original = original(track);
        try {
            return StructureProof.difference(track.document().format(), original, written)
                    .map(Phrase::text)
                    .orElse("");
        } finally {
            Files.deleteIfExists(original);
        }
    }

    /** What protects the client's document. */
    Set<Safeguards> safeguards(TrackSnapshot track) throws IOException {
        if (!track.isDocument()) {
            return Set.of();
        }
        Path original = original(track);
        try {
            return Safeguards.of(original);
        } finally {
            Files.deleteIfExists(original);
        }
    }

    private Path original(TrackSnapshot track) throws IOException {
        Path copy = Files.createTempFile(lane.folder().resolve("out"), ".original", ".tmp");
        try (InputStream in = lane.trackStore().original(track.track()).open();
                OutputStream out = Files.newOutputStream(copy)) {
            in.transferTo(out);
        }
        return copy;
    }

    private static boolean isXliff(TrackSnapshot track) {
        return !track.isDocument() && track.document().format().startsWith("xliff");
    }

    private String writeFile(TrackSnapshot track, Path path, Progress progress) throws IOException {
        boolean withNotes = Boolean.parseBoolean(lane.settings().detail(LaneDetail.NOTES_IN_FILES));
        Map<Integer, List<Note>> notes = withNotes ? lane.notes().open(track) : Map.of();
        NewFile.write(path, true, out -> track.write(notes, out, progress));
        BilingualFile written = lane.trackStore().open(track.track(), Source.of(track.name(), path), progress);
        if (written instanceof DocumentFile document) {
            return DocumentProof.firstLost(track.units(), document.units(List.of()))
                    .map(lost -> text("gate.write-back.segment", lost))
                    .orElse("");
        }
        List<Segment> read = written.document().segments();
        if (read.size() != track.size()) {
            return text("gate.write-back.count", track.size(), read.size());
        }
        for (int i = 0; i < track.size(); i++) {
            Segment segment = read.get(i);
            boolean same = segment.source().equals(track.segment(i).source())
                    && segment.target().sameAs(track.target(i))
                    && statesAgree(segment.state(), i, track);
            if (!same) {
                return text("gate.write-back.segment", segment.key());
            }
        }
        return "";
    }

    /** Where segments share one state in the file, the file says that of the least of them. */
    private static boolean statesAgree(State read, int index, TrackSnapshot track) {
        boolean alone = (index == 0 || !track.sameUnit(index - 1, index))
                && (index == track.size() - 1 || !track.sameUnit(index, index + 1));
        State kept = track.keptState(index);
        return alone ? read == kept : read.compareTo(kept) <= 0;
    }

    /** A file of several pairs of languages is written as XLIFF 1.2, which has room for them. */
    private String writeXliff(TrackSnapshot track, Path path, Progress progress) throws IOException {
        BilingualDocument document = track.current();
        Set<String> pairs = new HashSet<>();
        document.parts().forEach(part -> pairs.add(part.sourceLanguage() + '>' + part.targetLanguage()));
        NewFile.write(path, true, out -> {
            if (pairs.size() > 1) {
                NewXliff12.write(document, out);
            } else {
                NewXliff2.write(document, out);
            }
        });
        List<Segment> read = lane.formats()
                .open(Source.of(path), FileOptions.NONE, progress)
                .document()
                .segments();
        if (read.size() != track.size()) {
            return text("gate.write-back.count", track.size(), read.size());
        }
        for (int i = 0; i < track.size(); i++) {
            if (!written(read.get(i).target(), read.get(i).source()).equals(written(track, i))) {
                return text("gate.write-back.segment", track.segment(i).key());
            }
        }
        return "";
    }

    private static String written(TrackSnapshot track, int index) {
        return written(track.target(index), track.segment(index).source());
    }

    private static String written(Content target, Content source) {
        return TagNotation.write(target, source);
    }

    private String writeTable(TrackSnapshot track, Path path) throws IOException {
        List<List<Cell>> rows = new ArrayList<>();
        for (int i = 0; i < track.size(); i++) {
            Segment segment = track.segment(i);
            rows.add(List.of(
                    Cell.of(i + 1),
                    Cell.of(segment.key()),
                    Cell.of(TagNotation.write(segment.source(), segment.source())),
                    Cell.of(written(track, i)),
                    Cell.of(text("state." + track.state(i).name().toLowerCase(Locale.ROOT)))));
        }
        Report table = Report.titled(track.name())
                .section(Report.Section.ofTable(
                        track.name(),
                        List.of(
                                text("release.table.number"),
                                text("release.table.key"),
                                text("release.table.source"),
                                text("release.table.target"),
                                text("release.table.state")),
                        rows))
                .build();
        NewFile.write(path, true, out -> ReportForm.XLSX.write(table, out));
        List<WorkbookRows.Line> read = WorkbookRows.read(Source.of(path)).get(0).rows();
        for (int i = 0; i < track.size(); i++) {
            String expected = written(track, i);
            boolean there = i + 1 < read.size()
                    && (read.get(i + 1).cells().size() > TARGET_COLUMN
                            ? read.get(i + 1).cells().get(TARGET_COLUMN).equals(expected)
                            : expected.isEmpty());
            if (!there) {
                return text("gate.write-back.segment", track.segment(i).key());
            }
        }
        return "";
    }

    private static String writeText(TrackSnapshot track, Path path) throws IOException {
        StringBuilder all = new StringBuilder();
        for (int i = 0; i < track.size(); i++) {
            String target = track.target(i).plainText().strip();
            boolean goesOn = i > 0 && track.sameUnit(i - 1, i);
            if (!target.isEmpty()) {
                boolean joined = goesOn && !all.isEmpty() && all.charAt(all.length() - 1) == '\n';
                if (joined) {
                    all.setLength(all.length() - 1);
                    all.append(WITHOUT_SPACES.matcher(track.targetLanguage(i)).matches() ? "" : " ");
                }
                all.append(target).append('\n');
            }
        }
        String text = all.toString();
        NewFile.write(path, true, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
        boolean same = Files.readString(path).equals(text);
        return same ? "" : text("gate.write-back.text");
    }
}
