package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.ReviewCopy;

/** Review copies of a bilingual file that is in no lane: the file itself stands for the trip. */
public final class FileExchange {
    private FileExchange() {}

    /** The trip code of a file is made of its bytes, so that the same file always gives the same copy. */
    public static String trip(String sha256) {
        return sha256.substring(0, 5).toUpperCase(Locale.ROOT);
    }

    public static ReviewCopy copy(String name, String sha256, BilingualDocument document) {
        CopyIdentity identity =
                new CopyIdentity("", 0, trip(sha256), document.segments().size());
        return ReviewCopy.of(
                document, i -> document.segments().get(i).target(), identity, name, ReviewInstructions.forReview());
    }

    /** What the copy of this file held: its own targets, which are also what stands now. */
    public static List<SentRow> sentRows(BilingualDocument document) {
        List<SentRow> rows = new ArrayList<>();
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            String sent = TagNotation.write(segment.target(), segment.source());
            // The copy itself is not kept, so this is what it would say today.
            List<String> notes = segment.locked() ? List.of(text("copy.locked")) : List.of();
            rows.add(new SentRow(i + 1, i, segment, sent, segment.target(), notes));
        }
        return rows;
    }
}
