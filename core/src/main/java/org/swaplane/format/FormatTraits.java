package org.swaplane.format;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.ServiceLoader;
import java.util.Set;

/**
 * What can be said of every file of a format. A format says it itself, so that nobody else must know formats by their ids.
 *
 * @param markup what its files are made of, which the proofs read by themselves
 * @param canEscape whether a character that the encoding of a file lacks can be written all the same
 * @param goesOn whether texts that follow each other may be pieces of one sentence
 * @param hasLines whether a text may be broken over lines where the line ends
 * @param isMemory whether it holds pairs of texts of any files, and not one file
 * @param extras texts that can be translated besides
 * @param isSelectable whether texts have addresses by which they can be selected
 * @param hasPlaceholders whether placeholders in its texts are made tags by choice
 */
public record FormatTraits(
        Markup markup,
        boolean canEscape,
        boolean goesOn,
        boolean hasLines,
        boolean isMemory,
        Set<Extra> extras,
        boolean isSelectable,
        boolean hasPlaceholders) {
    private static final Map<String, FormatTraits> BY_FORMAT = ofInstalled();

    /** What files are made of. */
    public enum Markup {
        OFFICE_TEXT,
        OFFICE_SHEETS,
        OFFICE_SLIDES,
        HTML,
        MARKDOWN,
        XML,
        JSON,
        PROPERTIES,
        TABLE,
        LINES,
        /** Messages with their translations, as in PO. */
        CATALOGUE;

        /** Whether it is a package of parts in XML. */
        public boolean isPackage() {
            return this == OFFICE_TEXT || this == OFFICE_SHEETS || this == OFFICE_SLIDES;
        }
    }

    public FormatTraits {
        extras = Set.copyOf(extras);
    }

    /** A format whose texts stand each for itself and that can write every character, with nothing to choose. */
    public static FormatTraits of(Markup markup) {
        return new FormatTraits(markup, true, false, false, false, Set.of(), false, false);
    }

    public FormatTraits withoutEscapes() {
        return new FormatTraits(markup, false, goesOn, hasLines, isMemory, extras, isSelectable, hasPlaceholders);
    }

    public FormatTraits goingOn() {
        return new FormatTraits(markup, canEscape, true, hasLines, isMemory, extras, isSelectable, hasPlaceholders);
    }

    public FormatTraits ofLines() {
        return new FormatTraits(markup, canEscape, goesOn, true, isMemory, extras, isSelectable, hasPlaceholders);
    }

    public FormatTraits asMemory() {
        return new FormatTraits(markup, canEscape, goesOn, hasLines, true, extras, isSelectable, hasPlaceholders);
    }

    public FormatTraits with(EnumSet<Extra> others) {
        return new FormatTraits(markup, canEscape, goesOn, hasLines, isMemory, others, isSelectable, hasPlaceholders);
    }

    public FormatTraits selectable() {
        return new FormatTraits(markup, canEscape, goesOn, hasLines, isMemory, extras, true, hasPlaceholders);
    }

    public FormatTraits withPlaceholders() {
        return new FormatTraits(markup, canEscape, goesOn, hasLines, isMemory, extras, isSelectable, true);
    }

    private static Map<String, FormatTraits> ofInstalled() {
        Map<String, FormatTraits> traits = new HashMap<>();
        ServiceLoader.load(BilingualFormat.class).forEach(format -> traits.putAll(format.traits()));
        return Map.copyOf(traits);
    }

    /** Those of the format that a document says that it is of; those of XML where nobody installed it. */
    public static FormatTraits of(String format) {
        FormatTraits exact = BY_FORMAT.get(format);
        return exact != null
                ? exact
                : BY_FORMAT.entrySet().stream()
                        .filter(each -> format.startsWith(each.getKey()))
                        .map(Map.Entry::getValue)
                        .findFirst()
                        .orElse(of(Markup.XML));
    }
}
