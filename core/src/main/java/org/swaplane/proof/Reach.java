package org.swaplane.proof;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Source;
import org.swaplane.proof.Proof.Detail;
import org.swaplane.proof.reach.AllTexts;
import org.swaplane.proof.reach.FoundText;
import org.swaplane.proof.reach.Picture;
import org.swaplane.wording.Phrase;

/** Which texts and pictures of a file no segment covers. */
final class Reach {
    private Reach() {}

    /** Texts of a client document that are the same after pseudo-translation. */
    static List<FoundText> unreached(BilingualDocument document, Source original, Source pseudo, FileOptions options)
            throws IOException {
        return AllTexts.unchanged(
                AllTexts.of(document.format(), original, options), AllTexts.of(document.format(), pseudo, options));
    }

    /** Segments that nobody may change. */
    static List<FoundText> locked(BilingualDocument document) {
        List<FoundText> locked = new ArrayList<>();
        for (Segment segment : document.segments()) {
            String text = segment.source().plainText();
            if (segment.locked() && text.codePoints().anyMatch(Character::isLetter)) {
                locked.add(new FoundText(segment.key(), FoundText.Kind.LOCKED, text));
            }
        }
        return locked;
    }

    /** What is left out on purpose is said, and what a reader would come across asks for a look. */
    static Proof proof(List<FoundText> unreached) {
        List<Detail> unexpected = unreached.stream()
                .filter(each -> each.kind().isUnexpected())
                .map(each -> new Detail(each.where(), words(each)))
                .toList();
        long onPurpose = unreached.size() - unexpected.size();
        return unexpected.isEmpty()
                ? new Proof("reach", Proof.Verdict.PASS, Phrase.of("proof.reach.pass", onPurpose), List.of())
                : new Proof(
                        "reach",
                        Proof.Verdict.WARN,
                        Phrase.of("proof.reach.warn", unexpected.size(), onPurpose),
                        unexpected);
    }

    private static Phrase words(FoundText found) {
        return Phrase.of(
                "proof.reach.kind."
                        + found.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                found.text());
    }

    static Proof proofOfPictures(List<Picture> pictures) {
        return Proof.unlessFound(
                "pictures",
                pictures.stream()
                        .map(each -> new Detail(
                                each.name(),
                                Phrase.of(
                                        "proof.pictures.one", each.place(), each.width(), each.height(), each.bytes())))
                        .toList());
    }
}
