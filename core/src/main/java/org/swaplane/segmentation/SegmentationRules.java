package org.swaplane.segmentation;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.swaplane.task.PatientText;

/**
 * Segmentation rules for several languages.
 *
 * @param cascade whether the rules of all language patterns that match are used, in their order, or only those of the first
 * @param rules rules by their name
 * @param maps which rules are for which languages
 */
public record SegmentationRules(boolean cascade, Map<String, List<BreakRule>> rules, List<LanguageMap> maps) {
    /** Languages whose code matches {@code pattern} as a whole are cut by the rules with this name. */
    public record LanguageMap(String pattern, String rules) {}

    /** No rule at all: every paragraph is one segment. */
    public static final SegmentationRules BY_PARAGRAPH = new SegmentationRules(false, Map.of(), List.of());

    private static final String SHIPPED = "sentences.srx";

    public SegmentationRules {
        Map<String, List<BreakRule>> copy = new LinkedHashMap<>();
        rules.forEach((name, list) -> copy.put(name, List.copyOf(list)));
        rules = Collections.unmodifiableMap(copy);
        maps = List.copyOf(maps);
    }

    /** The rules that ship with Swap Lane. */
    public static SegmentationRules shipped() {
        return Shipped.RULES;
    }

    /** Read once, when first asked for. */
    private static final class Shipped {
        private static final SegmentationRules RULES = read();

        private static SegmentationRules read() {
            try (InputStream in = SegmentationRules.class.getResourceAsStream(SHIPPED)) {
                return Srx.read(SHIPPED, in);
            } catch (IOException e) {
                throw new AssertionError("the shipped rules are part of the program", e);
            }
        }
    }

    /** The rules for a language, in the order in which they are tried. */
    public List<BreakRule> forLanguage(String language) {
        List<BreakRule> found = new ArrayList<>();
        for (LanguageMap map : maps) {
            if (Pattern.compile(map.pattern())
                    .matcher(new PatientText(language, map.pattern()))
                    .matches()) {
                found.addAll(rules.getOrDefault(map.rules(), List.of()));
                if (!cascade) {
                    break;
                }
            }
        }
        return found;
    }
}
