package org.swaplane.format.office;

import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.parser.Parser;
import org.swaplane.content.Content;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.TextDocument;
import org.swaplane.format.XmlContent;

/** Parts whose text stands in elements or attributes without paragraphs: properties of the file, comments, names of sheets. */
enum PlainTexts {
    PROPERTIES("<(?<name>(?:dc|cp):(?:title|subject|description|keywords|category))\\b[^>]*>(?<text>[^<]*)</"),
    COMMENTS("<(?<name>(?:\\w+:)?text)\\b[^>]*>(?<text>[^<]*)</"),
    SHEET_NAMES("<(?:\\w+:)?(?<name>sheet)\\s[^>]*?\\bname=\"(?<text>[^\"]*)\"");

    /** Characters that the name of a sheet cannot have, and its longest length. */
    private static final Pattern NOT_IN_NAMES = Pattern.compile("[\\[\\]:*?/\\\\]");

    private static final int LONGEST_NAME = 31;

    private final Pattern texts;

    PlainTexts(String texts) {
        this.texts = Pattern.compile(texts);
    }

    /**
     * Adds the texts of a part.
     *
     * @param name stands in the ids of the units
     * @param kept texts that must stay as they are
     */
    void addTo(TextDocument.Builder document, String part, String name, Set<String> kept) {
        Matcher matcher = texts.matcher(part);
        for (int number = 1; matcher.find(); number++) {
            String text = Parser.unescapeEntities(matcher.group("text"), true);
            if (!kept.contains(text)) {
                String local = matcher.group("name").replaceFirst(".*:", "");
                document.add(
                        name + ' ' + local + ' ' + number,
                        matcher.start("text"),
                        matcher.end("text"),
                        Content.of(text),
                        content -> XmlContent.attribute(allowed(content.withCodes())),
                        SegmentMetadata.NOTHING);
            }
        }
    }

    private String allowed(String text) {
        if (this != SHEET_NAMES) {
            return text;
        }
        String name = NOT_IN_NAMES.matcher(text).replaceAll("-");
        return name.substring(0, Math.min(name.length(), LONGEST_NAME));
    }
}
