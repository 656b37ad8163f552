package org.swaplane.quality;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Wording;

/**
 * What errors are called and what they weigh. The shipped one is MQM's; people make their own as JSON.
 *
 * @param severities penalty points by id, from the lightest on
 * @param failing severities of which one error is too much
 * @param passMark the least score that passes
 * @param limits how many errors of a category or severity are allowed at most, by id
 */
public record QualityScheme(
        String name,
        List<Category> categories,
        Map<String, BigDecimal> severities,
        Set<String> failing,
        BigDecimal passMark,
        Map<String, Integer> limits) {
    private static final ObjectMapper JSON = new ObjectMapper()
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES);

    /** The standard's categories with their types; minor 1, major 5, critical 25; passed from 95 on. */
    public static final QualityScheme MQM = shipped();

    /**
     * A kind of error.
     *
     * @param label how it is called; empty for those of the standard, which are called as the interface does
     * @param types ids of its sub-types
     */
    public record Category(String id, String label, List<String> types) {
        public Category {
            label = label == null ? "" : label;
            types = types == null ? List.of() : List.copyOf(types);
        }
    }

    public QualityScheme {
        name = name == null ? "" : name;
        categories = categories == null ? List.of() : List.copyOf(categories);
        severities = Collections.unmodifiableMap(severities == null ? Map.of() : new LinkedHashMap<>(severities));
        failing = failing == null ? Set.of() : Set.copyOf(failing);
        limits = limits == null ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(limits));
    }

    private static QualityScheme shipped() {
        try (InputStream json = QualityScheme.class.getResourceAsStream("mqm.json")) {
            return parse(new String(json.readAllBytes(), StandardCharsets.UTF_8), "mqm.json");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Reads a scheme.
     *
     * @param file for messages
     * @throws CannotProceedException when it is none, or contradicts itself
     */
    public static QualityScheme parse(String json, String file) {
        QualityScheme scheme;
        try {
            scheme = JSON.readValue(json, QualityScheme.class);
        } catch (JsonProcessingException e) {
            throw JsonPlace.problem(file, e, "problem.quality-scheme");
        }
        String wrong = scheme == null ? "name" : scheme.contradiction();
        if (!wrong.isEmpty()) {
            throw new CannotProceedException(file, "problem.quality-scheme", wrong);
        }
        return scheme;
    }

    /** What is missing or refers to nothing; empty where all is well. */
    private String contradiction() {
        Set<String> ids = new HashSet<>();
        for (Category category : categories) {
            if (category.id() == null || category.id().isBlank() || !ids.add(category.id())) {
                return "categories: " + category.id();
            }
        }
        if (ids.isEmpty()) {
            return "categories";
        }
        if (severities.isEmpty()
                || severities.values().stream().anyMatch(weight -> weight == null || weight.signum() < 0)) {
            return "severities";
        }
        if (!severities.keySet().containsAll(failing)) {
            return "failing";
        }
        ids.addAll(severities.keySet());
        if (!ids.containsAll(limits.keySet()) || limits.values().stream().anyMatch(most -> most == null || most < 0)) {
            return "limits";
        }
        return passMark == null ? "passMark" : "";
    }

    public String toJson() {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(this);
        } catch (JsonProcessingException e) {
            throw new AssertionError("values only", e);
        }
    }

    public QualityScheme withPassMark(BigDecimal other) {
        return new QualityScheme(name, categories, severities, failing, other, limits);
    }

    /** A category as somebody wrote it, with its type; empty for one that is not known. A type alone stands for itself. */
    public Optional<String> category(String written) {
        Judgement meant = new Judgement(written, "");
        for (Category category : categories) {
            boolean same = category.id().equals(meant.top());
            if (same && (meant.type().isEmpty() || category.types().contains(meant.type()))) {
                return Optional.of(written.endsWith("/") ? category.id() : written);
            }
            if (category.types().contains(written)) {
                return Optional.of(category.id() + '/' + written);
            }
        }
        return Optional.empty();
    }

    /** How a category is called, with its type where it has one. */
    public String categoryName(String category) {
        Judgement meant = new Judgement(category, "");
        String top = categories.stream()
                .filter(each -> each.id().equals(meant.top()))
                .map(each -> each.label().isEmpty() ? standardName("category", each.id()) : each.label())
                .findFirst()
                .orElse(meant.top());
        return meant.type().isEmpty()
                ? top
                : Wording.text("quality.category-type", top, standardName("type", meant.type()));
    }

    /** How a severity is called. */
    public String severityName(String severity) {
        return standardName("severity", severity);
    }

    private static String standardName(String kind, String id) {
        String key = "quality." + kind + '.' + id;
        return Wording.has(key) ? Wording.text(key) : id;
    }
}
