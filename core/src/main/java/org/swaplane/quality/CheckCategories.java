package org.swaplane.quality;

import java.util.Map;
import org.swaplane.check.Severity;

/** What a check suggests when somebody turns its finding into an error. Checks that are not named find faults of accuracy. */
public final class CheckCategories {
    private static final String ACCURACY = "accuracy";
    private static final Map<String, String> BY_CHECK = Map.ofEntries(
            Map.entry("empty-target", "accuracy/omission"),
            Map.entry("same-as-source", "accuracy/untranslated"),
            Map.entry("tags", "design-and-markup/markup-tag"),
            Map.entry("placeholders", "design-and-markup/markup-tag"),
            Map.entry("numbers", "accuracy/mistranslation"),
            Map.entry("inconsistent-target", "style/inconsistent-style"),
            Map.entry("inconsistent-source", "accuracy/mistranslation"),
            Map.entry("end-punctuation", "linguistic-conventions/punctuation"),
            Map.entry("edge-space", "design-and-markup/layout"),
            Map.entry("double-space", "linguistic-conventions/punctuation"),
            Map.entry("repeated-word", "linguistic-conventions/grammar"),
            Map.entry("brackets", "linguistic-conventions/punctuation"),
            Map.entry("quotes", "linguistic-conventions/punctuation"),
            Map.entry("capital", "linguistic-conventions/spelling"),
            Map.entry("length", "design-and-markup/truncation-or-text-expansion"),
            Map.entry("link", "design-and-markup/link-or-cross-reference"),
            Map.entry("characters", "linguistic-conventions/character-encoding"),
            Map.entry("message-syntax", "design-and-markup/markup-tag"),
            Map.entry("term", "terminology/inconsistent-with-terminology-resource"),
            Map.entry("forbidden-term", "terminology/wrong-term"),
            Map.entry("keep-as-is", "accuracy/do-not-translate"),
            Map.entry("spelling", "linguistic-conventions/spelling"));

    private CheckCategories() {}

    /**
     * The category of a check's findings, as a scheme knows it.
     *
     * @return where the scheme has not even its top category, the scheme's first one
     */
    public static String category(String check, QualityScheme scheme) {
        String suggested = BY_CHECK.getOrDefault(check, ACCURACY);
        return scheme.category(suggested)
                .or(() -> scheme.category(new Judgement(suggested, "").top()))
                .orElseGet(() -> scheme.categories().get(0).id());
    }

    /** The scheme's severity for what a check calls so: its lightest that costs anything, or the next one for an error. */
    public static String severity(Severity severity, QualityScheme scheme) {
        var costing = scheme.severities().entrySet().stream()
                .filter(each -> each.getValue().signum() > 0)
                .map(Map.Entry::getKey)
                .toList();
        if (costing.isEmpty()) {
            return scheme.severities().keySet().iterator().next();
        }
        return costing.get(severity == Severity.ERROR ? Math.min(1, costing.size() - 1) : 0);
    }
}
