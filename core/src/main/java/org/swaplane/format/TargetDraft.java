package org.swaplane.format;

import org.swaplane.content.Content;

/** What a reader has learnt of a source and its target so far; becomes a {@link TargetSlot}. */
public final class TargetDraft {
    private final long owner;
    private final long ownerEnd;
    private String prefix = "";
    private String otherLanguage = "";
    private String indent = "";
    private Content source;
    private long sourceEnd;
    private Content target;
    private long targetStart;
    private long contentStart;
    private long contentEnd;
    private long targetEnd;

    /** Begin and end of the start tag of the element that both belong to. */
    public TargetDraft(long owner, long ownerEnd) {
        this.owner = owner;
        this.ownerEnd = ownerEnd;
    }

    public long ownerEnd() {
        return ownerEnd;
    }

    /** The source was read; {@code end} is the end of its element. */
    public void source(Content content, long end, String elementPrefix, String indentation) {
        source = content;
        sourceEnd = end;
        prefix = elementPrefix;
        indent = indentation;
    }

    /** Line end and white space before the element, for one like it that must be put in. */
    public void indentation(String indentation) {
        indent = indentation;
    }

    /** A target that is missing belongs behind {@code end}, not right behind the source. */
    public void sourceEnds(long end) {
        sourceEnd = end;
    }

    /** The target was read. */
    public void target(Content content, long start, long startOfContent, long endOfContent, long end) {
        target = content;
        targetStart = start;
        contentStart = startOfContent;
        contentEnd = endOfContent;
        targetEnd = end;
    }

    /** What the target says of its language, where that is another than the file's. */
    public void otherLanguage(String language) {
        otherLanguage = language;
    }

    public String otherLanguage() {
        return otherLanguage;
    }

    public boolean hasSource() {
        return source != null;
    }

    public boolean hasTarget() {
        return target != null;
    }

    public Content source() {
        return source;
    }

    /** Empty when there is none. */
    public Content target() {
        return target == null ? Content.EMPTY : target;
    }

    public TargetSlot slot() {
        return hasTarget()
                ? new TargetSlot(owner, ownerEnd, targetStart, contentStart, contentEnd, targetEnd, indent, prefix)
                : new TargetSlot(owner, ownerEnd, sourceEnd, sourceEnd, sourceEnd, sourceEnd, indent, prefix);
    }
}
