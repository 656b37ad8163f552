package org.swaplane.check;

import org.swaplane.content.Content;
import org.swaplane.document.Segment;

/** A segment with the target that stands in it now, which may be another than the file's. Immutable. */
public final class CheckedSegment {
    private final int index;
    private final Segment segment;
    private final Content target;
    private final String sourceLanguage;
    private final String targetLanguage;
    /** Worked out once for all checks; two threads may both do it. */
    private String sourceText;

    private String targetText;

    /** {@code index} is that of the segment in its document. */
    public CheckedSegment(int index, Segment segment, Content target, String sourceLanguage, String targetLanguage) {
        this.index = index;
        this.segment = segment;
        this.target = target;
        this.sourceLanguage = sourceLanguage;
        this.targetLanguage = targetLanguage;
    }

    public int index() {
        return index;
    }

    public Segment segment() {
        return segment;
    }

    public Content source() {
        return segment.source();
    }

    public Content target() {
        return target;
    }

    public String sourceLanguage() {
        return sourceLanguage;
    }

    public String targetLanguage() {
        return targetLanguage;
    }

    /** The source with its tags left out. */
    public String sourceText() {
        if (sourceText == null) {
            sourceText = segment.source().plainText();
        }
        return sourceText;
    }

    /** The target with its tags left out. */
    public String targetText() {
        if (targetText == null) {
            targetText = target.plainText();
        }
        return targetText;
    }
}
