package org.swaplane.cli;

/** What the program says when it ends. */
final class ExitStatus {
    static final int ALL_WELL = 0;
    static final int FOUND_SOMETHING = 1;
    static final int COULD_NOT_RUN = 2;

    private ExitStatus() {}
}
