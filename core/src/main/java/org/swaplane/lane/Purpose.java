package org.swaplane.lane;

/** What a copy was sent for. */
public enum Purpose {
    REVIEW,
    TRANSLATION
}
