package org.swaplane.proof;

import com.ibm.icu.text.UnicodeSet;
import com.ibm.icu.util.LocaleData;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.CharsetEncoder;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Source;
import org.swaplane.proof.Proof.Detail;
import org.swaplane.wording.Phrase;

/** Whether the encoding of a file has the characters of the target languages (CLDR, main exemplars). */
final class TargetCharacters {
    private static final int MOST_LISTED = 40;

    private TargetCharacters() {}

    static boolean canEscape(BilingualDocument document) {
        return FormatTraits.of(document.format()).canEscape();
    }

    static Charset charset(BilingualDocument document) {
        return Charset.forName(document.encoding().replace("+BOM", ""));
    }

    /** {@code written} is the document in the target language, whose fonts are looked at. */
    static Proof proof(BilingualDocument document, Source written) throws IOException {
        CharsetEncoder encoder = charset(document).newEncoder();
        List<Detail> lost = new ArrayList<>();
        List<Detail> fonts = new ArrayList<>();
        Set<String> languages = new LinkedHashSet<>();
        document.parts().forEach(part -> languages.add(part.targetLanguage()));
        languages.remove("");
        for (String language : languages) {
            UnicodeSet letters = letters(language);
            List<String> missing = new ArrayList<>();
            letters.forEach(letter -> {
                if (!encoder.canEncode(letter)) {
                    missing.add(letter);
                }
            });
            if (!missing.isEmpty()) {
                Phrase words = Phrase.of("proof.characters.language", document.encoding(), listed(missing), language);
                lost.add(new Detail("", words));
            }
            if (FormatTraits.of(document.format()).markup().isPackage()) {
                DocumentFonts.lacking(written, letters)
                        .forEach((font, lacking) -> fonts.add(
                                new Detail(font, Phrase.of("proof.characters.language", font, lacking, language))));
            }
        }
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            String target = segment.target().plainText();
            if (!encoder.canEncode(target)) {
                lost.add(new Detail(segment.key(), Phrase.verbatim(target), i));
            }
        }
        if (!lost.isEmpty()) {
            Proof.Verdict verdict = canEscape(document) ? Proof.Verdict.WARN : Proof.Verdict.FAIL;
            String key = canEscape(document) ? "proof.characters.warn" : "proof.characters.fail";
            return new Proof("characters", verdict, Phrase.of(key, document.encoding()), lost);
        }
        return fonts.isEmpty()
                ? Proof.passed("characters", fonts)
                : new Proof("characters", Proof.Verdict.WARN, Phrase.of("proof.characters.fonts", fonts.size()), fonts);
    }

    /** The letters that a language is written with, small and capital. */
    private static UnicodeSet letters(String language) {
        UnicodeSet exemplars = LocaleData.getExemplarSet(ULocale.forLanguageTag(language), 0, LocaleData.ES_STANDARD);
        UnicodeSet letters = new UnicodeSet(exemplars).closeOver(UnicodeSet.ADD_CASE_MAPPINGS);
        return letters.removeAllStrings();
    }

    /** With a space between; not all of them where they are many. */
    static String listed(List<String> letters) {
        String first = String.join(" ", letters.subList(0, Math.min(MOST_LISTED, letters.size())));
        return letters.size() > MOST_LISTED ? first + " …" : first;
    }
}
