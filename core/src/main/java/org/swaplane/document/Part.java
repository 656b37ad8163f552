package org.swaplane.document;

/**
 * One client file within a bilingual document (an XLIFF {@code file} element); languages are BCP 47 codes, empty when the file
 * does not say.
 */
public record Part(String name, String sourceLanguage, String targetLanguage) {}
