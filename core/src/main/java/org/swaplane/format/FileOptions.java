package org.swaplane.format;

import org.swaplane.extension.ExtensionRules;

/**
 * What the lane knows about a file that the file does not say itself.
 *
 * @param targetLanguage BCP 47 code for parts that name none, and written into them; empty where nobody said
 */
public record FileOptions(String targetLanguage, ExtensionRules rules) {
    public static final FileOptions NONE = new FileOptions("", ExtensionRules.NONE);
}
