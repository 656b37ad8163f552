package org.swaplane.format.xliff12;

import java.util.Optional;

/**
 * A segment whose texts are sub-flows of another segment's tags.
 *
 * @param segment index of the segment
 * @param parent index of the segment whose tag holds it
 * @param target empty where the target has no such tag
 */
record SubFlow(int segment, int parent, SubContent source, Optional<SubContent> target) {}
