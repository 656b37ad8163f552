package org.swaplane.format;

import java.nio.charset.Charset;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.placeholder.PlaceholderTags;
import org.swaplane.segmentation.SegmentationRules;

/**
 * What the lane knows about a file that the file does not say itself.
 *
 * @param sourceLanguage BCP 47 code of a document that has one language only; empty where nobody said
 * @param targetLanguage BCP 47 code for parts that name none, and written into them; empty where nobody said
 * @param rules what foreign attributes mean
 * @param segmentation how the text of a document is cut; a bilingual file keeps its own segments
 * @param document how it is read if it is a document
 */
public record FileOptions(
        String sourceLanguage,
        String targetLanguage,
        ExtensionRules rules,
        SegmentationRules segmentation,
        DocumentOptions document) {
    public static final FileOptions NONE = ofLanguages("", "");

    /** In these languages, else as {@link #NONE}. */
    public static FileOptions ofLanguages(String source, String target) {
        return new FileOptions(
                source, target, ExtensionRules.NONE, SegmentationRules.shipped(), DocumentOptions.DEFAULT);
    }

    public FileOptions with(ExtensionRules others) {
        return new FileOptions(sourceLanguage, targetLanguage, others, segmentation, document);
    }

    public FileOptions with(SegmentationRules other) {
        return new FileOptions(sourceLanguage, targetLanguage, rules, other, document);
    }

    public FileOptions with(DocumentOptions other) {
        return new FileOptions(sourceLanguage, targetLanguage, rules, segmentation, other);
    }

    public FileOptions inLanguages(String source, String target) {
        return new FileOptions(source, target, rules, segmentation, document);
    }

    /** The same in a source language that the document itself states, unless somebody said another. */
    public FileOptions orSourceLanguage(String stated) {
        return sourceLanguage.isEmpty() && !stated.isEmpty()
                ? new FileOptions(stated, targetLanguage, rules, segmentation, document)
                : this;
    }

    /**
     * The same for what is written of a file: in the encoding that the file was read in, which need not be guessed again and could be
     * guessed otherwise.
     *
     * @param encoding as {@link TextEncoding#label} says it
     */
    public FileOptions inEncodingOf(String encoding) {
        boolean known = !document.encoding().isEmpty() || encoding.endsWith("+BOM") || !Charset.isSupported(encoding);
        return known ? this : with(document.withEncoding(encoding));
    }

    /** What makes the placeholders of a document tags. */
    public PlaceholderTags placeholderTags() {
        return document.placeholders().tags();
    }
}
