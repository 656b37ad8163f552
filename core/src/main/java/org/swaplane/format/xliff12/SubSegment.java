package org.swaplane.format.xliff12;

import java.util.List;
import org.swaplane.content.Content;

/**
 * One {@code mrk mtype="seg"} of a {@code seg-source} or {@code target}; offsets count UTF-16 units of the text.
 *
 * @param mid what links it to its counterpart
 * @param start begin of the element
 * @param contentStart end of its start tag
 * @param contentEnd begin of its end tag
 * @param end end of the element
 * @param subFlows within its tags
 */
record SubSegment(
        String mid,
        Content content,
        long start,
        long contentStart,
        long contentEnd,
        long end,
        List<SubContent> subFlows) {}
