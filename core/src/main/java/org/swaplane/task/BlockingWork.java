package org.swaplane.task;

/**
 * Work that may wait for a disk. A program whose thread must never wait names it in the system property
 * {@code swaplane.never-blocks}; then such work on it fails at once, so that a test finds it.
 */
public final class BlockingWork {
    private static final String NEVER_BLOCKS = System.getProperty("swaplane.never-blocks", "");

    private BlockingWork() {}

    /** To be called by whatever touches a file or the database. */
    public static void begins() {
        if (!NEVER_BLOCKS.isEmpty() && Thread.currentThread().getName().equals(NEVER_BLOCKS)) {
            throw new IllegalStateException("the thread " + NEVER_BLOCKS + " must not touch files or the database");
        }
    }
}
