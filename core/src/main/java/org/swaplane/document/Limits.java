package org.swaplane.document;

/**
 * How long a target may be; 0 where there is no limit.
 *
 * @param min least extent in {@code unit}
 * @param max greatest extent in {@code unit}
 * @param unit the file's word for the unit: {@code char} for characters, {@code byte}, {@code pixel}...
 * @param minBytes least number of bytes in UTF-8
 * @param maxBytes greatest number of bytes in UTF-8
 * @param font in which pixels are counted, as the file names it: name, points and weight parted by semicolons; {@link #SOME_FONT} where
 *     it names none; empty where pixels are not known to be meant
 */
public record Limits(int min, int max, String unit, int minBytes, int maxBytes, String font) {
    public static final Limits NONE = new Limits(0, 0, "", 0, 0);
    public static final String CHARACTERS = "char";
    public static final String PIXELS = "pixel";
    public static final String SOME_FONT = "*";

    /** Where no font matters. */
    public Limits(int min, int max, String unit, int minBytes, int maxBytes) {
        this(min, max, unit, minBytes, maxBytes, "");
    }

    /** Up to so many characters. */
    public static Limits ofCharacters(int min, int max) {
        return new Limits(min, max, CHARACTERS, 0, 0);
    }

    /** Highest number of characters, 0 when characters are not what is limited. */
    public int maxCharacters() {
        return unit.equals(CHARACTERS) ? max : 0;
    }

    /** Highest number of pixels that can be measured, 0 when none is limited, or it is not sure that pixels are meant. */
    public int maxPixels() {
        return unit.equals(PIXELS) && !font.isEmpty() ? max : 0;
    }

    public boolean isNone() {
        return equals(NONE);
    }
}
