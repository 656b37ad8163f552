package org.swaplane.format;

/**
 * Where an element stands in a file; offsets count UTF-16 units of the text.
 *
 * @param start begin of its start tag
 * @param contentStart end of its start tag
 * @param contentEnd begin of its end tag
 * @param end end of its end tag; equal to {@code contentStart} when one tag is the whole element
 */
public record ElementPlace(long start, long contentStart, long contentEnd, long end) {
    public boolean isOneTag() {
        return contentStart == end;
    }

    /** What it holds replaced by XML; {@code key} is the segment's. */
    public Splice filledWith(String key, String written) {
        return isOneTag()
                ? new Splice(start, end, key, raw -> new StartTag(raw).around(written))
                : new Splice(contentStart, contentEnd, key, raw -> written);
    }
}
