package org.swaplane.reviewcopy;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a copy says of one file in it, kept as a document property.
 *
 * @param lane id of the lane, empty for a copy made on the command line
 * @param track id of the track, 0 for a copy made on the command line
 * @param trip code of the trip, five characters
 * @param rows number of rows that were sent
 * @param source language
 * @param target language, empty in copies of earlier versions
 * @param numbers of the rows that were sent, as ranges such as {@code 1-40,55}; empty for all
 */
public record CopyIdentity(
        String lane, long track, String trip, int rows, String source, String target, String numbers) {
    private static final Pattern RANGES = Pattern.compile("\\d{1,7}(?:-\\d{1,7})?(?:,\\d{1,7}(?:-\\d{1,7})?)*");

    public static final String PROPERTY = "SwapLaneCopy";

    /** All of a copy as one text. */
    static String written(List<CopyIdentity> identities) {
        return identities.stream().map(CopyIdentity::written).collect(Collectors.joining("|"));
    }

    private String written() {
        String all = "lane=" + encoded(lane) + ";track=" + track + ";trip=" + trip + ";rows=" + rows;
        String languages =
                source.isEmpty() && target.isEmpty() ? "" : ";source=" + encoded(source) + ";target=" + encoded(target);
        return all + languages + (numbers.isEmpty() ? "" : ";numbers=" + numbers);
    }

    private static String encoded(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8);
    }

    /** Those that {@link #written} wrote, as far as they can be read. */
    public static List<CopyIdentity> readAll(String property) {
        List<CopyIdentity> all = new ArrayList<>();
        for (String one : property.split("\\|")) {
            read(one).ifPresent(all::add);
        }
        return all;
    }

    private static Optional<CopyIdentity> read(String property) {
        Map<String, String> values = new LinkedHashMap<>();
        for (String pair : property.split(";")) {
            int equals = pair.indexOf('=');
            if (equals > 0) {
                values.put(
                        pair.substring(0, equals).strip(),
                        pair.substring(equals + 1).strip());
            }
        }
        try {
            String trip = values.getOrDefault("trip", "");
            return trip.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new CopyIdentity(
                            decoded(values, "lane"),
                            Long.parseLong(values.getOrDefault("track", "0")),
                            trip,
                            Integer.parseInt(values.getOrDefault("rows", "0")),
                            decoded(values, "source"),
                            decoded(values, "target"),
                            ranges(values.getOrDefault("numbers", ""))));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** What was written by hand there says nothing. */
    private static String ranges(String written) {
        return RANGES.matcher(written).matches() ? written : "";
    }

    private static String decoded(Map<String, String> values, String key) {
        return URLDecoder.decode(values.getOrDefault(key, ""), StandardCharsets.UTF_8);
    }

    /** Whether the row with a number was sent. */
    public IntPredicate sent() {
        if (numbers.isEmpty()) {
            return number -> true;
        }
        BitSet sent = new BitSet();
        for (String range : numbers.split(",")) {
            int dash = range.indexOf('-');
            int first = Integer.parseInt(dash < 0 ? range : range.substring(0, dash));
            int last = dash < 0 ? first : Integer.parseInt(range.substring(dash + 1));
            sent.set(first, Math.max(first, last) + 1);
        }
        return sent::get;
    }

    /** Rising numbers as ranges. */
    public static String ranges(List<Integer> numbers) {
        StringBuilder ranges = new StringBuilder();
        int at = 0;
        while (at < numbers.size()) {
            int end = at;
            while (end + 1 < numbers.size() && numbers.get(end + 1) == numbers.get(end) + 1) {
                end++;
            }
            ranges.append(ranges.isEmpty() ? "" : ",").append(numbers.get(at));
            ranges.append(end > at ? "-" + numbers.get(end) : "");
            at = end + 1;
        }
        return ranges.toString();
    }
}
