package org.swaplane.reviewcopy;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What a copy says of itself, kept as a document property.
 *
 * @param lane id of the lane, empty for a copy made on the command line
 * @param track id of the track, 0 for a copy made on the command line
 * @param trip code of the trip, five characters
 * @param rows number of rows that were sent
 */
public record CopyIdentity(String lane, long track, String trip, int rows) {
    static final String PROPERTY = "SwapLaneCopy";

    String written() {
        return "lane=" + lane + ";track=" + track + ";trip=" + trip + ";rows=" + rows;
    }

    static Optional<CopyIdentity> read(String property) {
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
            return Optional.of(new CopyIdentity(
                    values.getOrDefault("lane", ""),
                    Long.parseLong(values.getOrDefault("track", "0")),
                    values.getOrDefault("trip", ""),
                    Integer.parseInt(values.getOrDefault("rows", "0"))));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }
}
