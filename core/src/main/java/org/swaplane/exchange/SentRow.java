package org.swaplane.exchange;

import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.document.Segment;

/**
 * One row of a trip on our side.
 *
 * @param number of the row, 1-based, as it was sent
 * @param index of the segment in its document
 * @param sent the target as the copy held it, in tag notation
 * @param now the target as it stands now
 * @param notes what stood in its comment column
 */
public record SentRow(int number, int index, Segment segment, String sent, Content now, List<String> notes) {
    public SentRow {
        notes = List.copyOf(notes);
    }

    /** A row that went out with nothing in its comment column but what the segment says itself. */
    public SentRow(int number, int index, Segment segment, String sent, Content now) {
        this(number, index, segment, sent, now, List.of());
    }

    /** The same with what else stood in its comment column. */
    public SentRow with(List<String> others) {
        return new SentRow(number, index, segment, sent, now, others);
    }
}
