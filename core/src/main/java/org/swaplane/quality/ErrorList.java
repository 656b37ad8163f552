package org.swaplane.quality;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.compare.Span;
import org.swaplane.document.Segment;
import org.swaplane.task.CannotProceedException;

/**
 * Errors of one file as the command line reads them: {@code {"passMark":95,"errors":[{"unit","segment","start","end","category",
 * "severity","comment"}]}}. Offsets count UTF-16 units of the target's text without tags, or of the source's where {@code "side"} is
 * {@code "source"}; an error without offsets is about the whole segment.
 *
 * @param passMark empty where the file says none
 */
public record ErrorList(Optional<BigDecimal> passMark, List<Entry> errors) {
    private static final ObjectMapper JSON = new ObjectMapper()
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);

    /**
     * One error.
     *
     * @param segment position of the segment in its file
     */
    public record Entry(int segment, boolean inSource, int start, int end, Judgement judgement, String comment) {
        /** What is marked; nothing where something is missing. */
        List<Span> span() {
            return end > start ? List.of(new Span(start, end)) : List.of();
        }
    }

    public ErrorList {
        errors = List.copyOf(errors);
    }

    /**
     * Reads errors of a file with these segments.
     *
     * @param file for messages
     * @throws CannotProceedException when it is no such list, or one of its errors speaks of what there is not
     */
    public static ErrorList parse(String json, String file, List<Segment> segments, QualityScheme scheme) {
        JsonNode root;
        try {
            root = JSON.readTree(json);
        } catch (JsonProcessingException e) {
            throw JsonPlace.problem(file, e, "problem.error-list");
        }
        return new Reader(file, segments, scheme).read(root);
    }

    private static final class Reader {
        private final String file;
        private final List<Segment> segments;
        private final QualityScheme scheme;
        private final Map<String, Integer> byKey = new HashMap<>();
        private final Map<String, List<Integer>> byUnit = new HashMap<>();

        Reader(String file, List<Segment> segments, QualityScheme scheme) {
            this.file = file;
            this.segments = segments;
            this.scheme = scheme;
            for (int i = 0; i < segments.size(); i++) {
                byKey.put(segments.get(i).key(), i);
                byUnit.computeIfAbsent(segments.get(i).unit(), unit -> new ArrayList<>())
                        .add(i);
            }
        }

        ErrorList read(JsonNode root) {
            JsonNode list = root == null ? null : root.get("errors");
            if (list == null || !list.isArray()) {
                throw new CannotProceedException(file, "problem.error-list", "errors");
            }
            JsonNode mark = root.path("passMark");
            if (!mark.isMissingNode() && !mark.isNull() && !mark.isNumber()) {
                throw new CannotProceedException(file, "problem.error-list", "passMark");
            }
            List<Entry> entries = new ArrayList<>();
            for (JsonNode each : list) {
                entries.add(entry(each, entries.size() + 1));
            }
            return new ErrorList(mark.isNumber() ? Optional.of(mark.decimalValue()) : Optional.empty(), entries);
        }

        private Entry entry(JsonNode node, int number) {
            if (!node.isObject()) {
                throw wrong(number, "", node.toString());
            }
            int at = segment(node, number);
            JsonNode side = node.path("side");
            boolean inSource = side.asText().equals("source");
            if (!side.isMissingNode() && !inSource && !side.asText().equals("target")) {
                throw wrong(number, "side", side.asText());
            }
            int length = (inSource
                            ? segments.get(at).source()
                            : segments.get(at).target())
                    .plainText()
                    .length();
            boolean whole = !node.has("start") && !node.has("end");
            int start = whole ? 0 : offset(node, "start", number);
            int end = whole ? length : offset(node, "end", number);
            if (start < 0 || end < start || end > length) {
                throw new CannotProceedException(file, "problem.error-span", number, start, end, length);
            }
            String category = text(node, "category", number);
            String severity = text(node, "severity", number);
            if (!scheme.severities().containsKey(severity)) {
                throw wrong(number, "severity", severity);
            }
            return new Entry(
                    at,
                    inSource,
                    start,
                    end,
                    new Judgement(
                            scheme.category(category).orElseThrow(() -> wrong(number, "category", category)), severity),
                    node.path("comment").asText(""));
        }

        private int segment(JsonNode node, int number) {
            String unit = node.path("unit").asText("");
            String key = node.path("segment").asText("");
            if (unit.isEmpty() && key.isEmpty() || !unit.isEmpty() && !byUnit.containsKey(unit)) {
                throw wrong(number, "unit", unit);
            }
            List<Integer> meant = unit.isEmpty()
                    ? Optional.ofNullable(byKey.get(key)).stream().toList()
                    : byUnit.get(unit).stream()
                            .filter(i -> key.isEmpty() || segments.get(i).key().equals(key))
                            .toList();
            if (meant.size() != 1) {
                throw wrong(number, "segment", key);
            }
            return meant.get(0);
        }

        private int offset(JsonNode node, String name, int number) {
            JsonNode offset = node.path(name);
            if (!offset.isIntegralNumber() || !offset.canConvertToInt()) {
                throw wrong(number, name, offset.asText());
            }
            return offset.intValue();
        }

        private String text(JsonNode node, String name, int number) {
            JsonNode text = node.path(name);
            if (!text.isTextual()) {
                throw wrong(number, name, text.asText());
            }
            return text.asText();
        }

        private CannotProceedException wrong(int number, String name, String value) {
            return new CannotProceedException(file, "problem.error-entry", number, name, value);
        }
    }
}
