package org.swaplane.check;

import java.util.List;
import java.util.Optional;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.wording.Phrase;

/** A check of two texts, tags left out; nothing is said of a text without a counterpart. */
abstract class TextCheck implements Check {
    private final String id;

    TextCheck(String id) {
        this.id = id;
    }

    @Override
    public final String id() {
        return id;
    }

    @Override
    public final List<Finding> check(CheckedSegment segment) {
        Texts texts = new Texts(segment, segment.sourceText(), segment.targetText());
        return texts.source().isBlank()
                        || texts.target().isBlank()
                        || texts.source().equals(texts.target())
                ? List.of()
                : find(texts);
    }

    /** What is wrong with these texts, neither of which is blank and which are not the same. */
    abstract List<Finding> find(Texts texts);

    /** The plain texts of a segment. */
    record Texts(CheckedSegment segment, String source, String target) {
        Language sourceLanguage() {
            return Language.of(segment.sourceLanguage());
        }

        /** Whether a tag stands in the target between these offsets of its text, or at one of them. */
        boolean hasTag(int from, int to) {
            int at = 0;
            for (Run run : segment.target().runs()) {
                if (run instanceof Tag && at >= from && at <= to) {
                    return true;
                }
                at += run.length();
            }
            return false;
        }

        Language targetLanguage() {
            return Language.of(segment.targetLanguage());
        }
    }

    final Finding warning(Texts texts, Phrase message, List<Span> source, List<Span> target) {
        return Finding.in(texts.segment(), id, Severity.WARNING, message, source, target, Optional.empty());
    }

    final Finding warning(Texts texts, Phrase message, List<Span> target, Content suggestion) {
        return Finding.in(texts.segment(), id, Severity.WARNING, message, List.of(), target, Optional.of(suggestion));
    }

    final Finding error(Texts texts, Phrase message, List<Span> source, List<Span> target) {
        return Finding.in(texts.segment(), id, Severity.ERROR, message, source, target, Optional.empty());
    }
}
