package org.swaplane.format.office;

import java.util.Set;

/** What paragraphs of runs are called in the three kinds of documents. */
enum RunVocabulary {
    WORD("wordprocessingml", Set.of("p"), "w:", " xml:space=\"preserve\""),
    DRAWING("drawingml", Set.of("p"), "a:", ""),
    SHEET("spreadsheetml", Set.of("si", "is", "text"), "", " xml:space=\"preserve\"");

    private final String namespace;
    private final Set<String> paragraphs;
    private final String usualPrefix;
    private final String space;

    RunVocabulary(String namespace, Set<String> paragraphs, String usualPrefix, String space) {
        this.namespace = namespace;
        this.paragraphs = paragraphs;
        this.usualPrefix = usualPrefix;
        this.space = space;
    }

    /** Whether {@code uri} is the main namespace of this kind, of the transitional or the strict standard. */
    boolean isIn(String uri) {
        return uri != null && uri.contains("/" + namespace + "/") && uri.endsWith("/main");
    }

    boolean isParagraph(String uri, String name) {
        return paragraphs.contains(name) && isIn(uri);
    }

    String usualPrefix() {
        return usualPrefix;
    }

    /** The attribute by which white space at the edges of a text is kept. */
    String space() {
        return space;
    }
}
