package org.swaplane.content;

/** Characters as a reader sees them: entities resolved, line ends as U+000A. */
public record Text(String value) implements Run {
    @Override
    public int length() {
        return value.length();
    }
}
