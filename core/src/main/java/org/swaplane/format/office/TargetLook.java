package org.swaplane.format.office;

import com.ibm.icu.util.ULocale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.format.FileOptions;
import org.swaplane.format.StartTag;
import org.swaplane.format.XmlContent;

/**
 * What makes a translated document look as its language wants it: the language that proofing tools read, the direction of writing, and
 * the fonts of the lane.
 *
 * @param language BCP 47 code; empty when nothing shall change but text
 */
record TargetLook(String language, boolean isRightToLeft, Map<String, String> fonts) {
    private static final Pattern FONT = Pattern.compile(
            "(?<before>\\b(?:w:ascii|w:hAnsi|w:cs|w:eastAsia|typeface)=\"|<(?:name|rFont)\\s+val=\")(?<font>[^\"+][^\"]*)(?=\")");
    private static final Set<String> EAST_ASIAN = Set.of("zh", "ja", "ko", "yue");
    private static final Pattern SYMBOLS = Pattern.compile("(?i)symbol|wingdings.*|webdings|.*dingbats.*");
    private static final Pattern STYLED_LANGUAGE = Pattern.compile("<w:(?:lang|themeFontLang)\\b[^>]*>");
    private static final Pattern VIEW = Pattern.compile("<(?:\\w+:)?sheetView\\b[^>]*>");

    /** Properties of a paragraph that stand behind its direction (ECMA-376-1, section 17.3.1.26). */
    private static final Pattern AFTER_BIDI = Pattern.compile(
            "<w:(?:adjustRightInd|snapToGrid|spacing|ind|contextualSpacing|mirrorIndents|suppressOverlap|jc|textDirection"
                    + "|textAlignment|textboxTightWrap|outlineLvl|divId|cnfStyle|rPr|sectPr|pPrChange)\\b|</w:pPr>");

    /** Properties of a run that stand behind its direction (ECMA-376-1, section 17.3.2.28). */
    private static final Pattern AFTER_RTL =
            Pattern.compile("<w:(?:cs|em|lang|eastAsianLayout|specVanish|oMath)\\b|</w:rPr>");

    private static final Pattern BIDI = Pattern.compile("<w:bidi\\b[^>]*/>");

    static TargetLook of(FileOptions options) {
        String language = options.targetLanguage();
        boolean rightToLeft = !language.isEmpty() && new ULocale(language).isRightToLeft();
        return new TargetLook(language, rightToLeft, options.document().fonts());
    }

    /** Properties of a run in the translated document. */
    String run(RunVocabulary vocabulary, String prefix, String properties) {
        if (language.isEmpty()) {
            return properties;
        }
        return switch (vocabulary) {
            case WORD -> isRightToLeft() ? rightToLeft(prefix, properties) : properties;
            case DRAWING -> spoken(prefix, properties);
            case SHEET -> properties;
        };
    }

    private static String rightToLeft(String prefix, String properties) {
        if (properties.isEmpty()) {
            return "<" + prefix + "rPr><" + prefix + "rtl/></" + prefix + "rPr>";
        }
        Matcher after = AFTER_RTL.matcher(properties);
        return after.find()
                ? properties.substring(0, after.start()) + "<w:rtl/>" + properties.substring(after.start())
                : properties;
    }

    private String spoken(String prefix, String properties) {
        String raw = properties.isEmpty() ? '<' + prefix + "rPr/>" : properties;
        int end = raw.indexOf('>') + 1;
        String tag = new StartTag(raw.substring(0, end))
                .with("lang", XmlContent.attribute(language))
                .raw();
        return tag + raw.substring(end);
    }

    /** Properties of a paragraph in the translated document, whose direction is that of its language; empty for none. */
    String paragraph(RunVocabulary vocabulary, String prefix, String properties) {
        return switch (vocabulary) {
            case WORD -> wordParagraph(prefix, BIDI.matcher(properties).replaceAll(""));
            case DRAWING -> drawingParagraph(prefix, properties);
            case SHEET -> properties;
        };
    }

    private String wordParagraph(String prefix, String properties) {
        if (!isRightToLeft()) {
            return properties;
        }
        String bidi = '<' + prefix + "bidi/>";
        if (properties.isEmpty() || properties.endsWith("/>")) {
            return '<' + prefix + "pPr>" + bidi + "</" + prefix + "pPr>";
        }
        Matcher after = AFTER_BIDI.matcher(properties);
        return after.find()
                ? properties.substring(0, after.start()) + bidi + properties.substring(after.start())
                : properties;
    }

    private String drawingParagraph(String prefix, String properties) {
        String raw = properties.isEmpty() ? '<' + prefix + "pPr/>" : properties;
        int end = raw.indexOf('>') + 1;
        StartTag tag = new StartTag(raw.substring(0, end));
        if (!isRightToLeft()) {
            return tag.value("rtl").isEmpty()
                    ? properties
                    : tag.with("rtl", "0").raw() + raw.substring(end);
        }
        String align = tag.value("algn");
        StartTag turned = align.isEmpty() || align.equals("l") ? tag.with("algn", "r") : tag;
        return turned.with("rtl", "1").raw() + raw.substring(end);
    }

    /** Fonts in a piece of XML exchanged by the table of the lane. */
    String withFonts(String xml) {
        if (fonts.isEmpty()) {
            return xml;
        }
        return FONT.matcher(xml).replaceAll(found -> {
            String font = found.group(2);
            boolean kept = SYMBOLS.matcher(font).matches();
            String other = kept ? font : fonts.getOrDefault(font, fonts.getOrDefault("*", font));
            return Matcher.quoteReplacement(found.group(1) + XmlContent.attribute(other));
        });
    }

    /** Whether something in this entry of the package changes with the language or the fonts. */
    boolean concerns(String entry) {
        boolean styles = entry.equals("word/styles.xml") || entry.equals("word/settings.xml");
        boolean sheet = entry.matches("xl/worksheets/sheet\\d+\\.xml");
        boolean fonted = entry.matches("(?:word|ppt|xl)/(?!_rels|.*/_rels).*\\.xml");
        return !language.isEmpty() && (styles || sheet && isRightToLeft()) || !fonts.isEmpty() && fonted;
    }

    /** An entry of the package as the translated document has it. */
    String entry(String name, String xml) {
        String spoken = xml;
        if (!language.isEmpty()
                && name.startsWith("word/")
                && (name.endsWith("styles.xml") || name.endsWith("settings.xml"))) {
            spoken = STYLED_LANGUAGE
                    .matcher(xml)
                    .replaceAll(tag -> Matcher.quoteReplacement(new StartTag(tag.group())
                            .with(scriptAttribute(), language)
                            .raw()));
        } else if (isRightToLeft() && name.startsWith("xl/worksheets/")) {
            spoken = VIEW.matcher(xml)
                    .replaceAll(tag -> Matcher.quoteReplacement(
                            new StartTag(tag.group()).with("rightToLeft", "1").raw()));
        }
        return withFonts(spoken);
    }

    /** The languages of the three kinds of scripts are said apart (ECMA-376-1, section 17.3.2.20). */
    private String scriptAttribute() {
        if (isRightToLeft()) {
            return "w:bidi";
        }
        return EAST_ASIAN.contains(new ULocale(language).getLanguage()) ? "w:eastAsia" : "w:val";
    }
}
