package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.Text;
import org.swaplane.wording.Phrase;

/** Spaces beside tags that were lost, or moved into a pair that has none in the source; only in scripts that part words by spaces. */
final class TagSpaces {
    private final CheckedSegment segment;
    private final List<Run> source;
    private final List<Run> target;

    private TagSpaces(CheckedSegment segment) {
        this.segment = segment;
        this.source = segment.source().runs();
        this.target = segment.target().runs();
    }

    /** The first of them. */
    static Optional<Finding> find(CheckedSegment segment) {
        Language language = Language.of(segment.targetLanguage());
        return language.hasSpaces() && !language.isOneOf("ko") ? new TagSpaces(segment).find() : Optional.empty();
    }

    private Optional<Finding> find() {
        int at = 0;
        for (int i = 0; i < target.size(); i++) {
            if (target.get(i) instanceof Tag tag) {
                int there = indexOf(tag);
                if (there >= 0 && isGlued(i) && isLoose(there)) {
                    return Optional.of(finding("check.tags.glued", tag, at, loosened(i)));
                }
                if (there >= 0 && isPadded(target, i) && !isPadded(source, there)) {
                    return Optional.of(finding("check.tags.padded", tag, at, tightened(i)));
                }
            }
            at += target.get(i).length();
        }
        return Optional.empty();
    }

    private Finding finding(String key, Tag tag, int at, Content fixed) {
        List<Span> here = List.of(
                new Span(Math.max(0, at - 1), Math.min(segment.targetText().length(), at + 1)));
        String written = TagNotation.write(Content.of(tag), segment.source());
        return Finding.in(
                segment, "tags", Severity.WARNING, Phrase.of(key, written), List.of(), here, Optional.of(fixed));
    }

    private int indexOf(Tag tag) {
        for (int i = 0; i < source.size(); i++) {
            if (source.get(i) instanceof Tag each && each.matches(tag)) {
                return i;
            }
        }
        return -1;
    }

    /** Whether letters stand right at both sides. */
    private boolean isGlued(int at) {
        return textAt(target, at - 1)
                        .filter(text -> Character.isLetter(text.codePointBefore(text.length())))
                        .isPresent()
                && textAt(target, at + 1)
                        .filter(text -> Character.isLetter(text.codePointAt(0)))
                        .isPresent();
    }

    private boolean isLoose(int at) {
        boolean before = at == 0
                || textAt(source, at - 1).filter(text -> text.endsWith(" ")).isPresent();
        boolean after = at + 1 == source.size()
                || textAt(source, at + 1).filter(text -> text.startsWith(" ")).isPresent();
        return before || after;
    }

    /** Whether a pair begins or ends with a space. */
    private static boolean isPadded(List<Run> runs, int at) {
        Tag tag = (Tag) runs.get(at);
        return switch (tag.kind()) {
            case OPEN ->
                textAt(runs, at + 1)
                        .filter(text -> text.startsWith(" ") && !text.isBlank())
                        .isPresent();
            case CLOSE ->
                textAt(runs, at - 1)
                        .filter(text -> text.endsWith(" ") && !text.isBlank())
                        .isPresent();
            case STANDALONE -> false;
        };
    }

    private static Optional<String> textAt(List<Run> runs, int at) {
        return at >= 0 && at < runs.size() && runs.get(at) instanceof Text text && text.length() > 0
                ? Optional.of(text.value())
                : Optional.empty();
    }

    /** With a space before a tag that opens, behind another one. */
    private Content loosened(int at) {
        List<Run> runs = new ArrayList<>(target);
        boolean behind = ((Tag) runs.get(at)).kind() == Tag.Kind.CLOSE;
        runs.add(behind ? at + 1 : at, new Text(" "));
        return new Content(runs);
    }

    /** With the space out of the pair, or without it where one stands outside already or is not needed. */
    private Content tightened(int at) {
        List<Run> runs = new ArrayList<>(target);
        boolean opens = ((Tag) runs.get(at)).kind() == Tag.Kind.OPEN;
        int inside = opens ? at + 1 : at - 1;
        String text = ((Text) runs.get(inside)).value();
        runs.set(inside, new Text(opens ? text.stripLeading() : text.stripTrailing()));
        boolean wanted = opens
                ? textAt(target, at - 1)
                        .filter(before -> Character.isLetterOrDigit(before.codePointBefore(before.length())))
                        .isPresent()
                : textAt(target, at + 1)
                        .filter(after -> Character.isLetterOrDigit(after.codePointAt(0)))
                        .isPresent();
        if (wanted) {
            runs.add(opens ? at : at + 1, new Text(" "));
        }
        return new Content(runs);
    }
}
