package org.swaplane.format;

import org.swaplane.content.Content;
import org.swaplane.document.State;

/** What a segment shall hold when the file is written; a writer touches only what differs from the file. */
public record SegmentEdit(int segment, Content target, State state) {}
