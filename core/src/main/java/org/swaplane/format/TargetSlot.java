package org.swaplane.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.swaplane.content.Content;

/**
 * Where a target stands in an XML file, or where it would stand; offsets count UTF-16 units of the text.
 *
 * @param owner begin of the start tag of the element that the target belongs to
 * @param ownerEnd end of that tag
 * @param start begin of the {@code target} element, or the place to put one in
 * @param contentStart end of the target's start tag; equal to {@code start} without a target
 * @param contentEnd begin of the target's end tag
 * @param end end of the target element
 * @param indent line end and white space before {@code source}, for a target that must be put in
 * @param prefix namespace prefix of the elements with its colon, or nothing
 */
public record TargetSlot(
        long owner,
        long ownerEnd,
        long start,
        long contentStart,
        long contentEnd,
        long end,
        String indent,
        String prefix) {
    public boolean exists() {
        return end > start;
    }

    private boolean isEmptyElement() {
        return contentStart == end;
    }

    /** Where the start tag of the owner stands. */
    public TagPlace ownerTag() {
        return new TagPlace(owner, ownerEnd);
    }

    /** A target put in where there is none, its start tag as {@code tag} makes it. */
    public Splice insert(String key, UnaryOperator<StartTag> tag, Content content) {
        return insertWritten(key, tag, written(content));
    }

    /** The same with content that is XML already. */
    public Splice insertWritten(String key, UnaryOperator<StartTag> tag, String content) {
        String name = prefix + "target";
        String start = tag.apply(new StartTag('<' + name + '>')).raw();
        return new Splice(this.start, this.start, key, none -> indent + start + content + "</" + name + '>');
    }

    /** The target's start tag changed, or its content, or both. */
    public List<Splice> rewrite(String key, Optional<UnaryOperator<StartTag>> tag, Optional<Content> content) {
        return rewriteWritten(key, tag, content.map(this::written));
    }

    /** The same with content that is XML already. */
    public List<Splice> rewriteWritten(String key, Optional<UnaryOperator<StartTag>> tag, Optional<String> content) {
        List<Splice> splices = new ArrayList<>();
        if (isEmptyElement() && (tag.isPresent() || content.isPresent())) {
            splices.add(new Splice(start, end, key, raw -> {
                StartTag changed =
                        tag.map(change -> change.apply(new StartTag(raw))).orElse(new StartTag(raw));
                return content.map(changed::around).orElse(changed.raw());
            }));
            return splices;
        }
        tag.ifPresent(change -> splices.add(new Splice(
                start, contentStart, key, raw -> change.apply(new StartTag(raw)).raw())));
        content.ifPresent(each -> splices.add(new Splice(contentStart, contentEnd, key, raw -> each)));
        return splices;
    }

    /** The line end that the file uses here. */
    public String lineEnd() {
        return indent.startsWith("\r\n") ? "\r\n" : "\n";
    }

    private String written(Content content) {
        return XmlContent.written(content, lineEnd());
    }
}
