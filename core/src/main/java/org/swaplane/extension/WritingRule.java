package org.swaplane.extension;

import org.swaplane.document.State;

/** When a segment gets this state, a foreign attribute of its unit, segment or target element gets this value. */
public record WritingRule(State state, String namespace, String element, String attribute, String value) {}
