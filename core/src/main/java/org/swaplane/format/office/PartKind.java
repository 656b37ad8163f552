package org.swaplane.format.office;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.swaplane.format.Extra;

/** The parts of a package that hold text for people, in the order in which they are read. */
enum PartKind {
    DOCUMENT("word/document\\d*\\.xml", RunVocabulary.WORD, "docx"),
    HEADER("word/(header|footer)\\d*\\.xml", RunVocabulary.WORD, "docx"),
    NOTES("word/(footnotes|endnotes)\\.xml", RunVocabulary.WORD, "docx"),
    COMMENTS("word/comments\\.xml", RunVocabulary.WORD, "docx", Extra.COMMENTS),
    SLIDE("ppt/slides/slide\\d+\\.xml", RunVocabulary.DRAWING, "pptx"),
    SLIDE_NOTES("ppt/notesSlides/notesSlide\\d+\\.xml", RunVocabulary.DRAWING, "pptx"),
    MASTER(
            "ppt/(slideMasters|slideLayouts|notesMasters|handoutMasters)/\\w+\\d+\\.xml",
            RunVocabulary.DRAWING,
            "pptx",
            Extra.MASTERS),
    SLIDE_COMMENTS("ppt/comments/\\w*[cC]omment\\w*\\.xml", PlainTexts.COMMENTS, "pptx", Extra.COMMENTS),
    STRINGS("xl/sharedStrings\\.xml", RunVocabulary.SHEET, "xlsx"),
    SHEET("xl/worksheets/sheet\\d+\\.xml", RunVocabulary.SHEET, "xlsx"),
    SHEET_NAMES("xl/workbook\\.xml", PlainTexts.SHEET_NAMES, "xlsx", Extra.SHEET_NAMES),
    CELL_COMMENTS("xl/comments/?\\w*\\d*\\.xml", RunVocabulary.SHEET, "xlsx", Extra.COMMENTS),
    CELL_THREADS("xl/threadedComments/\\w+\\.xml", PlainTexts.COMMENTS, "xlsx", Extra.COMMENTS),
    CHART("(word|ppt|xl)/charts/chart\\d+\\.xml", RunVocabulary.DRAWING, ""),
    DIAGRAM("(word|ppt|xl)/diagrams/data\\d+\\.xml", RunVocabulary.DRAWING, ""),
    DIAGRAM_DRAWN("(word|ppt|xl)/diagrams/drawing\\d+\\.xml", RunVocabulary.DRAWING, ""),
    DRAWING("xl/drawings/drawing\\d+\\.xml", RunVocabulary.DRAWING, ""),
    PROPERTIES("docProps/core\\.xml", PlainTexts.PROPERTIES, "", Extra.PROPERTIES);

    private static final Map<String, PartKind> TYPES = Map.ofEntries(
            Map.entry("header", HEADER),
            Map.entry("footer", HEADER),
            Map.entry("footnotes", NOTES),
            Map.entry("endnotes", NOTES),
            Map.entry("slide", SLIDE),
            Map.entry("notesSlide", SLIDE_NOTES),
            Map.entry("sharedStrings", STRINGS),
            Map.entry("worksheet", SHEET));

    private final Pattern name;
    private final Optional<RunVocabulary> vocabulary;
    private final Optional<PlainTexts> plain;
    private final String format;
    private final Optional<Extra> extra;

    PartKind(
            String name,
            Optional<RunVocabulary> vocabulary,
            Optional<PlainTexts> plain,
            String format,
            Optional<Extra> extra) {
        this.name = Pattern.compile(name);
        this.vocabulary = vocabulary;
        this.plain = plain;
        this.format = format;
        this.extra = extra;
    }

    PartKind(String name, RunVocabulary vocabulary, String format) {
        this(name, Optional.of(vocabulary), Optional.empty(), format, Optional.empty());
    }

    PartKind(String name, RunVocabulary vocabulary, String format, Extra extra) {
        this(name, Optional.of(vocabulary), Optional.empty(), format, Optional.of(extra));
    }

    PartKind(String name, PlainTexts plain, String format, Extra extra) {
        this(name, Optional.empty(), Optional.of(plain), format, Optional.of(extra));
    }

    /** By its usual name. */
    static Optional<PartKind> of(String entry) {
        return Arrays.stream(values())
                .filter(kind -> kind.name.matcher(entry).matches())
                .findFirst();
    }

    /** By its type in the package (ECMA-376-2, section 10.1.2), since a name is only usual. */
    static Optional<PartKind> ofType(String contentType) {
        return Optional.ofNullable(TYPES.get(contentType.replaceAll("^.*\\.|\\+xml$", "")))
                .or(() -> contentType.endsWith(".document.main+xml")
                                || contentType.endsWith(".document.macroEnabled.main+xml")
                        ? Optional.of(DOCUMENT)
                        : Optional.empty());
    }

    /** Whether such a part is read with these options at all. */
    boolean isRead(byte[] part, Set<Extra> extras) {
        return switch (this) {
            // A sheet of numbers and shared strings, the usual case and by far the largest part, has no text of its
            // own.
            case SHEET -> contains(part, "inlineStr");
            case SLIDE -> extras.contains(Extra.HIDDEN) || !contains(part, " show=\"0\"");
            default -> extra.isEmpty() || extras.contains(extra.get());
        };
    }

    private static boolean contains(byte[] part, String text) {
        return new String(part, StandardCharsets.UTF_8).contains(text);
    }

    /** What paragraphs are called in it; empty where texts stand without them. */
    Optional<RunVocabulary> vocabulary() {
        return vocabulary;
    }

    /** Where texts stand in a part without paragraphs. */
    Optional<PlainTexts> plain() {
        return plain;
    }

    /** The kind of document that such a part makes it; empty where all kinds have it. */
    String format() {
        return format;
    }
}
