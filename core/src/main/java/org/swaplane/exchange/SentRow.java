package org.swaplane.exchange;

import org.swaplane.content.Content;
import org.swaplane.document.Segment;

/**
 * One row of a trip on our side.
 *
 * @param number of the row, 1-based, as it was sent
 * @param index of the segment in its document
 * @param sent the target as the copy held it, in tag notation
 * @param now the target as it stands now
 */
public record SentRow(int number, int index, Segment segment, String sent, Content now) {}
