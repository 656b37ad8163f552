package org.swaplane.format;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import org.swaplane.document.State;
import org.swaplane.extension.Occasion;
import org.swaplane.extension.WritingRule;

/** Writes states and locks into foreign attributes, as the writing rules of the lane say. */
public final class MirroredStates {
    private final List<WritingRule> rules;
    private final Map<String, String> rootNamespaces;

    /** {@code rootNamespaces}: the namespaces that the root of the file declares, by their prefix. */
    MirroredStates(List<WritingRule> rules, Map<String, String> rootNamespaces) {
        this.rules = List.copyOf(rules);
        this.rootNamespaces = Map.copyOf(rootNamespaces);
    }

    /** Whether a rule speaks of start tags with this local name at all. */
    public boolean concern(String element) {
        return rules.stream().anyMatch(rule -> rule.element().equals(element));
    }

    /** The start tag of an element for a segment that now has {@code state}. */
    public UnaryOperator<StartTag> on(String element, State state) {
        return on(element, Occasion.of(state));
    }

    /** The start tag of an element for a segment to which this happened. */
    public UnaryOperator<StartTag> on(String element, Occasion occasion) {
        return tag -> {
            StartTag result = tag;
            for (WritingRule rule : rules) {
                if (rule.when() == occasion && rule.element().equals(element)) {
                    result = mirrored(result, rule);
                }
            }
            return result;
        };
    }

    /** Where the file has no prefix for the namespace, there is no tool in it that would read the attribute. */
    private StartTag mirrored(StartTag tag, WritingRule rule) {
        return prefix(tag, rule)
                .map(prefix -> tag.with(prefix + ':' + rule.attribute(), XmlContent.attribute(rule.value())))
                .orElse(tag);
    }

    private Optional<String> prefix(StartTag tag, WritingRule rule) {
        var declared = Pattern.compile("\\sxmlns:([\\w.-]+)\\s*=\\s*[\"']" + Pattern.quote(rule.namespace()) + "[\"']")
                .matcher(tag.raw());
        if (declared.find()) {
            return Optional.of(declared.group(1));
        }
        return rootNamespaces.entrySet().stream()
                .filter(each -> each.getValue().equals(rule.namespace()))
                .map(Map.Entry::getKey)
                .min(String::compareTo);
    }
}
