package org.swaplane.lane;

import org.swaplane.content.Content;
import org.swaplane.document.State;

/** What a segment holds at one time: its target and its state. */
public record Value(Content target, State state) {}
