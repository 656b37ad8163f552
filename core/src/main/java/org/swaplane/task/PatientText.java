package org.swaplane.task;

/** A text that a regular expression of unknown manners is matched against: it may look at it often, but not for ever. */
public final class PatientText implements CharSequence {
    private static final long LEAST_LOOKS = 1_000_000;
    private static final long LOOKS_EACH = 1_000;

    private final String text;
    private final String expression;
    private long looksLeft;

    /** {@code expression} says which one it is, for the message. */
    public PatientText(String text, String expression) {
        this.text = text;
        this.expression = expression;
        this.looksLeft = LEAST_LOOKS + LOOKS_EACH * text.length();
    }

    @Override
    public char charAt(int index) {
        if (--looksLeft < 0) {
            String shown = text.substring(0, Math.min(text.length(), 60));
            throw new CannotProceedException("", "problem.pattern-slow", expression, shown);
        }
        return text.charAt(index);
    }

    @Override
    public int length() {
        return text.length();
    }

    @Override
    public CharSequence subSequence(int start, int end) {
        return text.subSequence(start, end);
    }

    @Override
    public String toString() {
        return text;
    }
}
