package org.swaplane.desktop.session;

/** Something that the window says where everybody sees it. */
public record Notification(Tone tone, String text) {
    public enum Tone {
        DONE,
        FAILED
    }
}
