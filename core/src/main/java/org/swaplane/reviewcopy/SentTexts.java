package org.swaplane.reviewcopy;

import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.swaplane.document.Fingerprint;

/**
 * The targets as a copy was sent with them, hidden in the copy itself: so three texts can be compared wherever the copy comes back to.
 * Compressed, and signed by a hash; texts that were altered are none.
 *
 * @param targets by trip and number of the row, in tag notation
 * @param preface title, instructions and rows that are there for their context, which are not read again
 */
public record SentTexts(Map<String, Map<Integer, String>> targets, List<String> preface) {
    public static final SentTexts NONE = new SentTexts(Map.of(), List.of());

    private static final ObjectMapper JSON = new ObjectMapper();
    /** What a copy may carry, unpacked; a larger one is not read. */
    private static final int MOST_BYTES = 512 << 20;

    /** Of the rows of a copy. */
    static SentTexts of(ReviewCopy copy) {
        Map<String, Map<Integer, String>> all = new LinkedHashMap<>();
        for (ReviewCopy.Part part : copy.parts()) {
            Map<Integer, String> own = new LinkedHashMap<>();
            part.rows().forEach(row -> row.code().ifPresent(code -> own.put(code.number(), row.target())));
            all.put(part.identity().trip(), own);
        }
        List<String> preface = new ArrayList<>(Preface.texts(copy));
        copy.parts().stream()
                .flatMap(part -> part.rows().stream())
                .filter(ReviewRow::isContext)
                .forEach(row -> preface.addAll(List.of(row.source(), row.target(), row.comment())));
        return new SentTexts(all, preface);
    }

    /** The target that was sent in a row, where it is known. */
    public Optional<String> target(String trip, int number) {
        return Optional.ofNullable(targets.getOrDefault(trip, Map.of()).get(number));
    }

    /** Whether nothing is known. */
    @JsonIgnore
    public boolean isEmpty() {
        return targets.isEmpty();
    }

    /** As one line of letters and digits. */
    String packed() {
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            try (OutputStream gzip = new GZIPOutputStream(bytes)) {
                gzip.write(JSON.writeValueAsBytes(this));
            }
            byte[] packed = bytes.toByteArray();
            return Fingerprint.sha256(packed) + ':' + Base64.getEncoder().encodeToString(packed);
        } catch (IOException e) {
            throw new AssertionError("memory can be written", e);
        }
    }

    /** What {@link #packed} packed; nothing where it was altered. White space in it does not matter. */
    public static SentTexts unpacked(String packed) {
        String clean = packed.replaceAll("\\s+", "");
        int colon = clean.indexOf(':');
        if (colon < 0) {
            return NONE;
        }
        try {
            byte[] bytes = Base64.getDecoder().decode(clean.substring(colon + 1));
            if (!Fingerprint.sha256(bytes).equals(clean.substring(0, colon))) {
                return NONE;
            }
            try (InputStream gzip = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
                byte[] json = gzip.readNBytes(MOST_BYTES);
                return JSON.readValue(json, SentTexts.class);
            }
        } catch (IllegalArgumentException | IOException e) {
            // Altered, or of a later version: it says nothing.
            return NONE;
        }
    }
}
