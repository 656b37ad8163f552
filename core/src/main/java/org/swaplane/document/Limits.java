package org.swaplane.document;

/**
 * How long a target may be; 0 where there is no limit.
 *
 * @param min least extent in {@code unit}
 * @param max greatest extent in {@code unit}
 * @param unit the file's word for the unit: {@code char} for characters, {@code byte}, {@code pixel}...
 * @param minBytes least number of bytes in UTF-8
 * @param maxBytes greatest number of bytes in UTF-8
 */
public record Limits(int min, int max, String unit, int minBytes, int maxBytes) {
    public static final Limits NONE = new Limits(0, 0, "", 0, 0);
    public static final String CHARACTERS = "char";

    /** Up to so many characters. */
    public static Limits ofCharacters(int min, int max) {
        return new Limits(min, max, CHARACTERS, 0, 0);
    }

    /** Highest number of characters, 0 when characters are not what is limited. */
    public int maxCharacters() {
        return unit.equals(CHARACTERS) ? max : 0;
    }

    public boolean isNone() {
        return equals(NONE);
    }
}
