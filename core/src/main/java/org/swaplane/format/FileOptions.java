package org.swaplane.format;

import org.swaplane.extension.ExtensionRules;
import org.swaplane.segmentation.SegmentationRules;

/**
 * What the lane knows about a file that the file does not say itself.
 *
 * @param sourceLanguage BCP 47 code of a document that has one language only; empty where nobody said
 * @param targetLanguage BCP 47 code for parts that name none, and written into them; empty where nobody said
 * @param rules what foreign attributes mean
 * @param segmentation how the text of a document is cut; a bilingual file keeps its own segments
 */
public record FileOptions(
        String sourceLanguage, String targetLanguage, ExtensionRules rules, SegmentationRules segmentation) {
    public static final FileOptions NONE = new FileOptions("", "", ExtensionRules.NONE, SegmentationRules.shipped());

    /** In these languages, else as {@link #NONE}. */
    public static FileOptions ofLanguages(String source, String target) {
        return new FileOptions(source, target, ExtensionRules.NONE, SegmentationRules.shipped());
    }

    public FileOptions with(ExtensionRules others) {
        return new FileOptions(sourceLanguage, targetLanguage, others, segmentation);
    }

    public FileOptions with(SegmentationRules other) {
        return new FileOptions(sourceLanguage, targetLanguage, rules, other);
    }
}
