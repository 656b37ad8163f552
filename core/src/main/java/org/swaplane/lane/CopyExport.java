package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.swaplane.exchange.CopyRows;
import org.swaplane.exchange.ReviewInstructions;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.format.xliff12.NewXliff12;
import org.swaplane.format.xliff2.NewXliff2;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormat;
import org.swaplane.task.Progress;

/** Makes a copy of a track for a person and remembers that it went out. */
public final class CopyExport {
    private final Lane lane;

    public CopyExport(Lane lane) {
        this.lane = lane;
    }

    /** A copy that went out, and where it lies. */
    public record Sent(Trip trip, Path file) {}

    /** What goes out: a table for a person, or the file itself as it stands now, for another tool. */
    public enum Form {
        REVIEW_COPY,
        BILINGUAL_FILE,
        /** A document as XLIFF 1.2, for tools that know no newer one. */
        XLIFF_12
    }

    /** Writes a copy of a track as it stands in a snapshot into the lane's folder {@code sent}. */
    public Sent send(TrackSnapshot track, String person, Purpose purpose, Form form, Progress progress)
            throws IOException {
        String code = lane.trips().newCode();
        String name = stem(track.name()) + '_' + purpose.name().toLowerCase(Locale.ROOT);
        Path file =
                switch (form) {
                    case REVIEW_COPY -> writeReviewCopy(track, code, purpose, name);
                    case BILINGUAL_FILE -> writeBilingual(track, name, progress);
                    case XLIFF_12 -> writeXliff12(track, name);
                };
        return new Sent(lane.trips().sent(code, track.track(), person, purpose, Source.of(file)), file);
    }

    /** A bilingual file goes as it stands now; of a document, an XLIFF file is made that is named after it. */
    private Path writeBilingual(TrackSnapshot track, String name, Progress progress) throws IOException {
        String extension = track.name().substring(stem(track.name()).length());
        Path file = lane.free("sent", track.isDocument() ? name + extension + ".xlf" : name + extension);
        if (track.isDocument()) {
            NewFile.write(file, false, out -> NewXliff2.write(track.current(), out));
        } else {
            NewFile.write(file, false, out -> track.write(out, progress));
        }
        return file;
    }

    private Path writeXliff12(TrackSnapshot track, String name) throws IOException {
        Path file = lane.free(
                "sent", name + track.name().substring(stem(track.name()).length()) + ".xlf");
        NewFile.write(file, false, out -> NewXliff12.write(track.current(), out));
        return file;
    }

    private Path writeReviewCopy(TrackSnapshot track, String code, Purpose purpose, String name) throws IOException {
        ReviewCopyFormat format = lane.copies().all().get(0);
        Path file = lane.free("sent", name + '.' + format.extension());
        CopyRows.Owner owner =
                new CopyRows.Owner(lane.settings().id(), track.track().id(), code);
        List<Integer> all = IntStream.range(0, track.size()).boxed().toList();
        ReviewCopy.Part part = new CopyRows(track.document(), track::target).part(owner, track.name(), all, 0);
        ReviewCopy copy = new ReviewCopy(
                track.name(),
                purpose == Purpose.REVIEW ? ReviewInstructions.forReview() : ReviewInstructions.forTranslation(),
                part.identity().source(),
                part.identity().target(),
                List.of(part));
        NewFile.write(file, false, out -> format.write(copy, out));
        return file;
    }

    private static String stem(String name) {
        int dot = name.lastIndexOf('.');
        return dot < 0 ? name : name.substring(0, dot);
    }
}
