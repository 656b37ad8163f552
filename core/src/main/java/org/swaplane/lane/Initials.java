package org.swaplane.lane;

import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The short form of a person's name. */
public final class Initials {
    private static final Pattern FIRST_LETTERS = Pattern.compile("(?<![\\p{L}\\p{M}'’])\\p{L}\\p{M}*");

    private Initials() {}

    /** The first letter of each word of a name, as it is written there. */
    public static String of(String name) {
        return FIRST_LETTERS.matcher(name).results().map(first -> first.group()).collect(Collectors.joining());
    }
}
