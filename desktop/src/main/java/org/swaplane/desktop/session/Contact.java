package org.swaplane.desktop.session;

/**
 * Somebody who gets copies.
 *
 * @param languages codes of the languages that they work into, in the person's own writing
 */
public record Contact(String name, String mail, String role, String languages) {
    static Contact of(String line) {
        String[] parts = line.split("\t", -1);
        return new Contact(part(parts, 0), part(parts, 1), part(parts, 2), part(parts, 3));
    }

    private static String part(String[] parts, int index) {
        return index < parts.length ? parts[index].strip() : "";
    }

    String written() {
        return String.join("\t", plain(name), plain(mail), plain(role), plain(languages));
    }

    private static String plain(String text) {
        return text.replaceAll("\\s+", " ").strip();
    }
}
