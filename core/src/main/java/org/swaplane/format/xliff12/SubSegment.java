package org.swaplane.format.xliff12;

import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.format.ElementPlace;

/**
 * One {@code mrk mtype="seg"} of a {@code seg-source} or {@code target}.
 *
 * @param mid what links it to its counterpart
 * @param subFlows within its tags
 */
record SubSegment(String mid, Content content, ElementPlace place, List<SubContent> subFlows) {}
