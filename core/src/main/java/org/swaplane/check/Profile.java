package org.swaplane.check;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/**
 * Which checks are made, and how. As JSON, all members may be left out.
 *
 * @param off ids of checks that are not made
 * @param severities what findings of a check are, where that is not the usual
 * @param consistency what two texts may differ in and count as the same
 * @param growth how long a target may be
 * @param terms files with term lists, by name or path
 * @param keep texts that stay as they are in every language
 * @param dictionaries files of Hunspell dictionaries ({@code .dic}, the {@code .aff} beside it), by target language; or {@link #SHIPPED}
 * @param patterns expressions of one's own
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record Profile(
        Set<String> off,
        Map<String, Severity> severities,
        Consistency consistency,
        Growth growth,
        List<String> terms,
        List<String> keep,
        Map<String, String> dictionaries,
        List<OwnPattern> patterns) {
    /** Stands for the dictionary that comes with the application. */
    public static final String SHIPPED = "shipped";

    public static final Profile DEFAULT = new Profile(null, null, null, null, null, null, null, null);

    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(com.fasterxml.jackson.databind.MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    /** What sources may differ in and still have the same target, {@code true} for 'may'. */
    public record Consistency(boolean letterCase, boolean tags, boolean numbers) {}

    /**
     * How many times as long as its source a target may be, characters of dense scripts counted for more.
     *
     * @param most for texts of some length; 0 for any
     * @param least for long texts
     */
    public record Growth(double most, double least) {}

    public Profile {
        off = off == null ? Set.of() : Set.copyOf(new TreeSet<>(off));
        severities = severities == null ? Map.of() : Map.copyOf(new TreeMap<>(severities));
        consistency = consistency == null ? new Consistency(true, true, false) : consistency;
        growth = growth == null ? new Growth(3, 0.3) : growth;
        terms = terms == null ? List.of() : List.copyOf(terms);
        keep = keep == null ? List.of() : List.copyOf(keep);
        dictionaries = dictionaries == null ? Map.of() : Map.copyOf(dictionaries);
        patterns = patterns == null ? List.of() : List.copyOf(patterns);
    }

    public Profile withOff(Set<String> others) {
        return new Profile(others, severities, consistency, growth, terms, keep, dictionaries, patterns);
    }

    public Profile withSeverities(Map<String, Severity> others) {
        return new Profile(off, others, consistency, growth, terms, keep, dictionaries, patterns);
    }

    public Profile with(Consistency other) {
        return new Profile(off, severities, other, growth, terms, keep, dictionaries, patterns);
    }

    public Profile with(Growth other) {
        return new Profile(off, severities, consistency, other, terms, keep, dictionaries, patterns);
    }

    public Profile withTerms(List<String> others) {
        return new Profile(off, severities, consistency, growth, others, keep, dictionaries, patterns);
    }

    public Profile withKeep(List<String> others) {
        return new Profile(off, severities, consistency, growth, terms, others, dictionaries, patterns);
    }

    public Profile withDictionaries(Map<String, String> others) {
        return new Profile(off, severities, consistency, growth, terms, keep, others, patterns);
    }

    public Profile withPatterns(List<OwnPattern> others) {
        return new Profile(off, severities, consistency, growth, terms, keep, dictionaries, others);
    }

    /** As indented JSON. */
    public String toJson() {
        try {
            return JSON.writeValueAsString(this);
        } catch (JsonProcessingException e) {
            throw new AssertionError("records of strings can be written", e);
        }
    }

    /**
     * Reads what {@link #toJson} wrote, or what a person did.
     *
     * @param name of what holds it, for the message
     * @throws CannotProceedException when it is something else, or names a check that there is not, or has a broken pattern
     */
    public static Profile ofJson(String name, String json) {
        try {
            Profile profile = json.isBlank() ? DEFAULT : JSON.readValue(json, Profile.class);
            profile.checkIds(name);
            for (OwnPattern pattern : profile.patterns()) {
                if (!pattern.fault().isEmpty()) {
                    throw new CannotProceedException(name, "problem.pattern-broken", pattern.name(), pattern.fault());
                }
            }
            return profile;
        } catch (JsonProcessingException e) {
            var at = e.getLocation();
            throw new CannotProceedException(
                    new CannotProceedException.Place(
                            name, at == null ? 0 : at.getLineNr(), at == null ? 0 : at.getColumnNr()),
                    Phrase.of(
                            "problem.no-profile",
                            e.getOriginalMessage()
                                    .lines()
                                    .findFirst()
                                    .orElse("")
                                    .replaceAll(" \\(class [^)]*\\).*", "")),
                    e);
        }
    }

    private void checkIds(String name) {
        Set<String> unknown = new TreeSet<>(off);
        unknown.addAll(severities.keySet());
        unknown.removeAll(CheckIds.ALL);
        if (!unknown.isEmpty()) {
            throw new CannotProceedException(
                    name, "problem.no-check", String.join(", ", unknown), String.join(", ", CheckIds.ALL));
        }
    }
}
