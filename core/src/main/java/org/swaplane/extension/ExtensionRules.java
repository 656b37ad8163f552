package org.swaplane.extension;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** The rules of a lane about foreign attributes and elements. */
public record ExtensionRules(List<ReadingRule> reading, List<WritingRule> writing) {
    public static final ExtensionRules NONE = new ExtensionRules(List.of(), List.of());

    private static final ObjectMapper JSON = new ObjectMapper();

    public ExtensionRules {
        reading = reading == null ? List.of() : List.copyOf(reading);
        writing = writing == null ? List.of() : List.copyOf(writing);
    }

    /** With one more reading rule; another rule about the same value goes. */
    public ExtensionRules with(ReadingRule rule) {
        List<ReadingRule> rules = new ArrayList<>(reading);
        rules.removeIf(each -> each.matches(rule.namespace(), rule.element(), rule.attribute(), rule.value()));
        rules.add(rule);
        return new ExtensionRules(rules, writing);
    }

    public ExtensionRules without(ReadingRule rule) {
        return new ExtensionRules(
                reading.stream().filter(each -> !each.equals(rule)).toList(), writing);
    }

    /** With one more writing rule; another rule for the same occasion and attribute goes. */
    public ExtensionRules with(WritingRule rule) {
        List<WritingRule> rules = new ArrayList<>(writing);
        rules.removeIf(each -> each.when() == rule.when()
                && each.element().equals(rule.element())
                && each.attribute().equals(rule.attribute())
                && each.namespace().equals(rule.namespace()));
        rules.add(rule);
        return new ExtensionRules(reading, rules);
    }

    public ExtensionRules without(WritingRule rule) {
        return new ExtensionRules(
                reading, writing.stream().filter(each -> !each.equals(rule)).toList());
    }

    /** All of both; where they speak of the same, {@code others} win. */
    public ExtensionRules with(ExtensionRules others) {
        ExtensionRules all = this;
        for (ReadingRule rule : others.reading) {
            all = all.with(rule);
        }
        for (WritingRule rule : others.writing) {
            all = all.with(rule);
        }
        return all;
    }

    /** As JSON, for the lane's settings and for files that carry rules to other lanes. */
    public String toJson() {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(this);
        } catch (JsonProcessingException e) {
            throw new AssertionError("records of strings can be written", e);
        }
    }

    /**
     * Reads what {@link #toJson} wrote.
     *
     * @param name of the file, for the message
     * @throws CannotProceedException when it is something else
     */
    public static ExtensionRules ofJson(String name, String json) {
        try {
            return JSON.readValue(json, ExtensionRules.class);
        } catch (JsonProcessingException e) {
            var at = e.getLocation();
            throw new CannotProceedException(
                    new CannotProceedException.Place(
                            name, at == null ? 0 : at.getLineNr(), at == null ? 0 : at.getColumnNr()),
                    Phrase.of("problem.no-attribute-rules", e.getOriginalMessage()),
                    e);
        }
    }
}
