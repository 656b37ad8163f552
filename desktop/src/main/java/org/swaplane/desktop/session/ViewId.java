package org.swaplane.desktop.session;

/** The views, in the order of the work. */
public enum ViewId {
    BOARD,
    DRY_RUN,
    EXCHANGE,
    REVIEW,
    CHECKS,
    RELEASE
}
