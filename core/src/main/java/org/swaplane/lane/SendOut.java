package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Path;
import org.swaplane.exchange.ReviewInstructions;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.format.table.CopyIdentity;
import org.swaplane.format.table.DocxReviewCopy;
import org.swaplane.format.table.ReviewCopy;

/** Makes a copy of a track for a person and remembers that it went out. */
public final class SendOut {
    private final Lane lane;

    public SendOut(Lane lane) {
        this.lane = lane;
    }

    /** A copy that went out, and where it lies. */
    public record Sent(Trip trip, Path file) {}

    /** Writes a review copy into the lane's folder {@code sent}. */
    public Sent send(Track track, String person, Purpose purpose) throws IOException {
        String code = lane.newTripCode();
        CopyIdentity identity = new CopyIdentity(lane.id(), track.id(), code, track.size());
        ReviewCopy copy = ReviewCopy.of(
                track.document(),
                track::target,
                identity,
                track.name(),
                purpose == Purpose.REVIEW ? ReviewInstructions.forReview() : ReviewInstructions.forTranslation());
        Path file = lane.free(
                "sent", stem(track.name()) + "_" + purpose.name().toLowerCase(java.util.Locale.ROOT) + ".docx");
        NewFile.write(file, false, out -> DocxReviewCopy.write(copy, out));
        return new Sent(lane.trips().sent(code, track, person, purpose, Source.of(file)), file);
    }

    private static String stem(String name) {
        int dot = name.lastIndexOf('.');
        return dot < 0 ? name : name.substring(0, dot);
    }
}
