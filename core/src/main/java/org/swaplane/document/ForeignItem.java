package org.swaplane.document;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * An attribute or element of another namespace than the format's, as it occurs in a file.
 *
 * @param namespace of the attribute, or of the element where {@code attribute} is empty
 * @param element local name of the element that carries it
 * @param attribute local name; empty for the text of a foreign element
 * @param values the different values in the order of the file with how often each occurs; not all of them where there are very many
 * @param count how often it occurs
 */
public record ForeignItem(String namespace, String element, String attribute, Map<String, Integer> values, int count) {
    public ForeignItem {
        values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
    }
}
