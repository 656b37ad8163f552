package org.swaplane.format.office;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Pattern;

/** The parts of a package that hold text for people, in the order in which they are read. */
enum PartKind {
    DOCUMENT("word/document\\d*\\.xml", RunVocabulary.WORD, "docx"),
    HEADER("word/(header|footer)\\d*\\.xml", RunVocabulary.WORD, "docx"),
    NOTES("word/(footnotes|endnotes)\\.xml", RunVocabulary.WORD, "docx"),
    SLIDE("ppt/slides/slide\\d+\\.xml", RunVocabulary.DRAWING, "pptx"),
    SLIDE_NOTES("ppt/notesSlides/notesSlide\\d+\\.xml", RunVocabulary.DRAWING, "pptx"),
    STRINGS("xl/sharedStrings\\.xml", RunVocabulary.SHEET, "xlsx"),
    SHEET("xl/worksheets/sheet\\d+\\.xml", RunVocabulary.SHEET, "xlsx"),
    CHART("(word|ppt|xl)/charts/chart\\d+\\.xml", RunVocabulary.DRAWING, ""),
    DIAGRAM("(word|ppt|xl)/diagrams/data\\d+\\.xml", RunVocabulary.DRAWING, ""),
    DRAWING("xl/drawings/drawing\\d+\\.xml", RunVocabulary.DRAWING, "");

    private final Pattern name;
    private final RunVocabulary vocabulary;
    private final String format;

    PartKind(String name, RunVocabulary vocabulary, String format) {
        this.name = Pattern.compile(name);
        this.vocabulary = vocabulary;
        this.format = format;
    }

    static Optional<PartKind> of(String entry) {
        return Arrays.stream(values())
                .filter(kind -> kind.name.matcher(entry).matches())
                .findFirst();
    }

    /** A sheet of numbers and shared strings, the usual case and by far the largest part, has no text of its own. */
    boolean mayHoldText(byte[] part) {
        return this != SHEET || new String(part, StandardCharsets.UTF_8).contains("inlineStr");
    }

    RunVocabulary vocabulary() {
        return vocabulary;
    }

    /** The kind of document that such a part makes it; empty where all kinds have it. */
    String format() {
        return format;
    }
}
