package org.swaplane.extension;

/**
 * A foreign attribute or element with this value means something.
 *
 * @param element local name of the element that carries the attribute, or of the foreign element itself
 * @param attribute local name; empty where the text of the element is the value
 * @param value exactly as the file writes it; ignored where the meaning is {@link Meaning#SCORE}
 */
public record ReadingRule(String namespace, String element, String attribute, String value, Meaning meaning) {
    /** Whether the rule speaks of this occurrence. */
    public boolean matches(String inNamespace, String onElement, String inAttribute, String written) {
        return element.equals(onElement)
                && attribute.equals(inAttribute)
                && namespace.equals(inNamespace)
                && (meaning == Meaning.SCORE || value.equals(written.strip()));
    }
}
