package org.swaplane.check;

import java.util.List;
import java.util.Optional;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Fingerprint;
import org.swaplane.wording.Phrase;

/**
 * One result of a check.
 *
 * @param segment index of the segment in its document
 * @param key key of the segment
 * @param unit the file's id of the unit
 * @param phrase what is wrong: the rule, and what it found
 * @param source the parts of the source that it is about, in the text with tags left out
 * @param target the same of the target
 * @param suggestion the whole corrected target, where that is certain
 * @param identity stays the same as long as both texts and what was found in them stay the same
 */
public record Finding(
        String check,
        Severity severity,
        int segment,
        String key,
        String unit,
        Phrase phrase,
        List<Span> source,
        List<Span> target,
        Optional<Content> suggestion,
        String identity) {
    /** So many findings of a kind in one segment tell enough. */
    static final int MOST_OF_A_KIND = 20;

    public Finding {
        source = List.copyOf(source);
        target = List.copyOf(target);
    }

    /** What is wrong, in words. */
    public String message() {
        return phrase.text();
    }

    Finding with(Severity other) {
        return new Finding(check, other, segment, key, unit, phrase, source, target, suggestion, identity);
    }

    static Finding in(
            CheckedSegment at,
            String check,
            Severity severity,
            Phrase phrase,
            List<Span> source,
            List<Span> target,
            Optional<Content> suggestion) {
        String texts = TagNotation.write(at.source(), at.source()) + '\n' + TagNotation.write(at.target(), at.source());
        String identity =
                Fingerprint.ofWritten(check + '\n' + phrase.key() + '\n' + phrase.writtenArguments() + '\n' + texts);
        return new Finding(
                check,
                severity,
                at.index(),
                at.segment().key(),
                at.segment().unit(),
                phrase,
                source,
                target,
                suggestion,
                identity);
    }
}
