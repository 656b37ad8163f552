package org.swaplane.placeholder;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Web and e-mail addresses in text, which nobody translates. */
public final class Addresses {
    private static final Pattern ADDRESS = Pattern.compile(
            "(?:https?://|www\\.)[^\\s<>\"\u201C\u201D\u00AB\u00BB]+|[\\w.+-]+@[\\w-]+(?:\\.[\\w-]+)++");

    private Addresses() {}

    /** The text with every character of an address replaced by {@code filler}, so that offsets stay. */
    public static String mask(String text, char filler) {
        if (text.indexOf('@') < 0 && !text.contains("://") && !text.contains("www.")) {
            return text;
        }
        StringBuilder result = new StringBuilder(text);
        Matcher address = ADDRESS.matcher(text);
        while (address.find()) {
            for (int i = address.start(); i < address.end(); i++) {
                result.setCharAt(i, filler);
            }
        }
        return result.toString();
    }

    /** Where addresses stand. */
    public static List<Placeholders.Found> find(String text) {
        return text.indexOf('@') < 0 && !text.contains("://") && !text.contains("www.")
                ? List.of()
                : ADDRESS.matcher(text)
                        .results()
                        .map(found -> new Placeholders.Found(found.start(), found.end(), found.group()))
                        .toList();
    }
}
