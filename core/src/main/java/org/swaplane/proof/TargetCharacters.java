package org.swaplane.proof;

import static org.swaplane.wording.Wording.say;

import com.ibm.icu.text.UnicodeSet;
import com.ibm.icu.util.LocaleData;
import com.ibm.icu.util.ULocale;
import java.nio.charset.Charset;
import java.nio.charset.CharsetEncoder;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.proof.Proof.Detail;

/** Whether the encoding of a file has the characters of the target languages (CLDR, main exemplars). */
final class TargetCharacters {
    /** Formats in which a character that the encoding lacks cannot be written at all. */
    private static final Set<String> WITHOUT_ESCAPES = Set.of("po", "text", "markdown", "subtitles", "delimited-text");

    private TargetCharacters() {}

    static boolean canEscape(BilingualDocument document) {
        return !WITHOUT_ESCAPES.contains(document.format());
    }

    static Charset charset(BilingualDocument document) {
        return Charset.forName(document.encoding().replace("+BOM", ""));
    }

    static Proof proof(BilingualDocument document) {
        CharsetEncoder encoder = charset(document).newEncoder();
        List<Detail> details = new ArrayList<>();
        document.parts().stream().map(part -> part.targetLanguage()).distinct().forEach(language -> {
            String missing = missing(language, encoder);
            if (!missing.isEmpty()) {
                details.add(new Detail("", say("proof.characters.language", document.encoding(), missing, language)));
            }
        });
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            String target = segment.target().plainText();
            if (!encoder.canEncode(target)) {
                details.add(new Detail(segment.key(), target, i));
            }
        }
        if (details.isEmpty()) {
            return Proof.passed("characters", details);
        }
        Proof.Verdict verdict = canEscape(document) ? Proof.Verdict.WARN : Proof.Verdict.FAIL;
        String key = canEscape(document) ? "proof.characters.warn" : "proof.characters.fail";
        return new Proof("characters", verdict, say(key, document.encoding()), details);
    }

    /** The characters of a language that cannot be encoded, with a space between; empty for a language that nobody knows. */
    private static String missing(String language, CharsetEncoder encoder) {
        if (language.isEmpty()) {
            return "";
        }
        UnicodeSet letters = LocaleData.getExemplarSet(ULocale.forLanguageTag(language), 0, LocaleData.ES_STANDARD);
        List<String> missing = new ArrayList<>();
        for (String letter : new UnicodeSet(letters).closeOver(UnicodeSet.ADD_CASE_MAPPINGS)) {
            if (letter.codePointCount(0, letter.length()) == 1 && !encoder.canEncode(letter)) {
                missing.add(letter);
            }
        }
        int most = 40;
        String listed = String.join(" ", missing.subList(0, Math.min(most, missing.size())));
        return missing.size() > most ? listed + " …" : listed;
    }
}
