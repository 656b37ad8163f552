package org.swaplane.exchange;

import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.document.Segment;
import org.swaplane.document.State;

/**
 * One row of a trip on our side.
 *
 * @param number of the row, 1-based, as it was sent
 * @param index of the segment in its document
 * @param segment as it stands now
 * @param sent the target as the copy held it, in tag notation, without line breaks at its edges
 * @param sentState the state as it went out
 * @param now the target as it stands now
 * @param notes what stood in its comment column
 */
public record SentRow(
        int number, int index, Segment segment, String sent, State sentState, Content now, List<String> notes) {
    public SentRow {
        sent = EdgeBreaks.without(sent);
        notes = List.copyOf(notes);
    }

    /** A row that went out with nothing in its comment column but what the segment says itself. */
    public SentRow(int number, int index, Segment segment, String sent, Content now) {
        this(number, index, segment, sent, segment.state(), now, List.of());
    }
}
