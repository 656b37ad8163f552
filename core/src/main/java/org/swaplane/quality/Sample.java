package org.swaplane.quality;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;

/**
 * A random part of what can be evaluated. The same seed draws the same segments again, in whatever order they are given and on whatever
 * machine.
 *
 * @param chosen in the order in which they were given
 */
public record Sample(List<Item> chosen, long seed) {
    /** What can be drawn: a segment by its file and key, with the words of its source. */
    public record Item(long track, String key, int words) {}

    private record Drawn(Item item, int position, String lot) {}

    public Sample {
        chosen = List.copyOf(chosen);
    }

    /** Draws segments until they have at least so many words, or none is left; those without words are never drawn. */
    public static Sample draw(List<Item> items, long words, long seed) {
        List<Drawn> lots = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i).words() > 0) {
                lots.add(new Drawn(items.get(i), i, lot(items.get(i), seed)));
            }
        }
        lots.sort(Comparator.comparing(Drawn::lot).thenComparing(Drawn::position));
        List<Drawn> drawn = new ArrayList<>();
        long sum = 0;
        for (Drawn each : lots) {
            if (sum >= words) {
                break;
            }
            drawn.add(each);
            sum += each.item().words();
        }
        drawn.sort(Comparator.comparing(Drawn::position));
        return new Sample(drawn.stream().map(Drawn::item).toList(), seed);
    }

    public long words() {
        return chosen.stream().mapToLong(Item::words).sum();
    }

    private static String lot(Item item, long seed) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            String ticket = seed + "\n" + item.track() + "\n" + item.key();
            return HexFormat.of().formatHex(digest.digest(ticket.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new AssertionError("every Java has it", e);
        }
    }
}
