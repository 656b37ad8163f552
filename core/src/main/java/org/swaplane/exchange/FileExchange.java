package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntPredicate;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.ReturnedCopy;

/** Review copies of a bilingual file that is in no lane: the file itself stands for the trip. */
public final class FileExchange {
    private final String sha256;
    private final BilingualDocument document;
    private String trip = "";

    /** Of a file with these bytes. */
    public FileExchange(String sha256, BilingualDocument document) {
        this.sha256 = sha256;
        this.document = document;
    }

    /** The document of the file. */
    public BilingualDocument document() {
        return document;
    }

    /**
     * The trip code of a file is made of its languages, keys and sources: the same for ever, however its targets change, and another one for
     * another language or version.
     */
    public static String trip(BilingualDocument document) {
        MessageDigest digest = Fingerprint.newSha256();
        document.parts().forEach(part -> add(digest, part.sourceLanguage() + '>' + part.targetLanguage()));
        for (Segment segment : document.segments()) {
            add(digest, segment.key());
            add(digest, TagNotation.write(segment.source(), segment.source()));
        }
        return shortened(HexFormat.of().formatHex(digest.digest()));
    }

    private String trip() {
        if (trip.isEmpty()) {
            trip = trip(document);
        }
        return trip;
    }

    private static void add(MessageDigest digest, String text) {
        digest.update(text.getBytes(StandardCharsets.UTF_8));
        digest.update((byte) 0);
    }

    private static String shortened(String hash) {
        return hash.substring(0, 5).toUpperCase(Locale.ROOT);
    }

    /** The trip of a copy that was made of this file; empty where it was made of none such. */
    public Optional<String> tripOf(ReturnedCopy copy) {
        // Earlier versions made the code of the file's bytes.
        List<String> own = List.of(trip(), shortened(sha256));
        return copy.trips().stream().filter(own::contains).findFirst();
    }

    /** What the copy held, by what it carries itself; where that was lost, the file's own targets, which are also what stands now. */
    public List<SentRow> sentRows(ReturnedCopy copy, String trip) {
        IntPredicate wasSent = copy.identity(trip).map(CopyIdentity::sent).orElse(number -> true);
        List<SentRow> rows = new ArrayList<>();
        for (int i = 0; i < document.segments().size(); i++) {
            int number = i + 1;
            if (!wasSent.test(number)) {
                continue;
            }
            Segment segment = document.segments().get(i);
            String sent = copy.sent()
                    .target(trip, number)
                    .orElseGet(() -> TagNotation.write(segment.target(), segment.source()));
            List<String> notes = segment.locked() ? List.of(text("copy.locked")) : List.of();
            rows.add(new SentRow(number, i, segment, sent, segment.state(), segment.target(), notes));
        }
        return rows;
    }

    /** All rows of the file itself, as another tool got it. */
    public List<SentRow> sentRows() {
        List<SentRow> rows = new ArrayList<>();
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            String sent = TagNotation.write(segment.target(), segment.source());
            rows.add(new SentRow(i + 1, i, segment, sent, segment.target()));
        }
        return rows;
    }

    /** Whether two codes can be of one language: they may say more or less, and nothing that contradicts. */
    public static boolean agree(String one, String other) {
        return ReturnedBilingual.agree(one, other);
    }

    /** A bilingual file that may have been made of this one by another tool. */
    public ReturnedBilingual returned(BilingualDocument other) {
        List<String> targets =
                document.parts().stream().map(part -> part.targetLanguage()).toList();
        return new ReturnedBilingual(other, trip(), sentRows(), targets);
    }
}
