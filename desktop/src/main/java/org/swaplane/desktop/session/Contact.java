package org.swaplane.desktop.session;

import java.util.Locale;
import java.util.stream.Stream;

/**
 * Somebody who gets copies.
 *
 * @param languages codes of the languages that they work into, parted by commas or spaces
 * @param rate as {@link org.swaplane.exchange.Rate#parse} reads it; empty when nothing is agreed
 */
public record Contact(String name, String mail, String role, String languages, String rate) {
    static Contact of(String line) {
        String[] parts = line.split("\t", -1);
        return new Contact(part(parts, 0), part(parts, 1), part(parts, 2), part(parts, 3), part(parts, 4));
    }

    private static String part(String[] parts, int index) {
        return index < parts.length ? parts[index].strip() : "";
    }

    /** Whether a language is among theirs; one without a region stands for all its regions. */
    public boolean worksInto(String language) {
        String wanted = language.toLowerCase(Locale.ROOT);
        return Stream.of(languages.toLowerCase(Locale.ROOT).split("[\\s,;]+"))
                .filter(code -> !code.isEmpty())
                .anyMatch(
                        code -> wanted.equals(code) || wanted.startsWith(code + '-') || code.startsWith(wanted + '-'));
    }

    String written() {
        return String.join("\t", plain(name), plain(mail), plain(role), plain(languages), plain(rate));
    }

    private static String plain(String text) {
        return text.replaceAll("\\s+", " ").strip();
    }
}
