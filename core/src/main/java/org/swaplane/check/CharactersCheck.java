package org.swaplane.check;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UCharacterCategory;
import com.ibm.icu.lang.UScript;
import com.ibm.icu.text.Normalizer2;
import com.ibm.icu.text.UnicodeSet;
import com.ibm.icu.util.LocaleData;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.wording.Phrase;

/** Characters that nobody meant: broken encodings, control characters, a word of two scripts, another normal form than usual. */
final class CharactersCheck extends TextCheck {
    /** A second byte read so; without those that stand for marks that can follow a letter. */
    private static final String SECOND = "[\\u0080-\\u009F¡-©¬-±´-¶¸¼-¿€‚ƒ„†‡ˆ‰Š‹ŒŽ•˜™š›œžŸ]";

    /** What UTF-8 looks like when it was read as a western encoding. */
    private static final Pattern MOJIBAKE =
            Pattern.compile("[ÃÂÐÑ][\\u0080-\\u00BF€‚ƒ„…†‡ˆ‰Š‹ŒŽ‘’“”•–—˜™š›œžŸ]|â€[™œž¦“”˜]|ï»¿" + "|[ÄÅÎÏØÙ×]" + SECOND
                    + "|[à-í]" + SECOND + "{2}");

    private static final Pattern MIXED =
            Pattern.compile("(?<!\\p{L})(?=\\p{L}*[\\p{IsLatin}\\p{IsGreek}])(?=\\p{L}*[\\p{IsCyrillic}\\p{IsGreek}])"
                    + "(?!\\p{IsGreek}++(?!\\p{L}))\\p{L}{3,}");

    private static final String BROKEN = "ÃÂÐÑÄÅÎÏØÙ×àáâãäåæçèéêëìíï";
    private static final char FIRST_OTHER = '\u0080';
    private static final char FIRST_COMBINING = '\u0300';
    private static final char TATWEEL = '\u0640';
    private static final Set<String> ALPHABETS = Set.of("Latn", "Cyrl", "Grek", "Arab", "Hebr", "Armn", "Geor");
    /** Scripts whose languages do not borrow letters for names of others; Persian does not borrow the Arabic ones that look alike either. */
    private static final Set<String> WITHOUT_LOANS = Set.of("Cyrl");

    private static final char FIRST_GREEK = '\u0370';

    private final Map<String, UnicodeSet> exemplars = new ConcurrentHashMap<>();

    CharactersCheck() {
        super("characters");
    }

    @Override
    List<Finding> find(Texts texts) {
        List<Finding> findings = new ArrayList<>();
        String target = texts.target();
        List<Span> odd = odd(target, texts.source());
        if (!odd.isEmpty()) {
            String code = String.format("U+%04X", target.codePointAt(odd.get(0).start()));
            findings.add(error(texts, Phrase.of("check.characters.odd", code), List.of(), odd));
        }
        if (mayBeBroken(target)) {
            find(texts, MOJIBAKE, "check.characters.mojibake", findings);
        }
        if (target.chars().anyMatch(c -> c >= FIRST_GREEK)) {
            find(texts, MIXED, "check.characters.mixed", findings);
        }
        if (findings.isEmpty() && target.chars().anyMatch(c -> c >= FIRST_OTHER)) {
            foreign(texts).ifPresent(findings::add);
        }
        if (target.chars().allMatch(c -> c < FIRST_COMBINING)) {
            return findings;
        }
        Normalizer2 composed = Normalizer2.getNFCInstance();
        // Some scripts are not composed by rule; there the normal form is the longer one.
        if (composed.normalize(target).length() < target.length() && composed.isNormalized(texts.source())) {
            Content fixed = texts.segment().target();
            if (fixed.tags().isEmpty()) {
                List<Span> all = List.of(new Span(0, target.length()));
                findings.add(warning(
                        texts, Phrase.of("check.characters.normal-form"), all, Content.of(composed.normalize(target))));
            }
        }
        return findings;
    }

    /** Asked first: a letter that a broken text has often, and behind it a character that is not ASCII. */
    private static boolean mayBeBroken(String text) {
        for (int i = 0; i + 1 < text.length(); i++) {
            if (text.charAt(i + 1) >= FIRST_OTHER && BROKEN.indexOf(text.charAt(i)) >= 0) {
                return true;
            }
        }
        return false;
    }

    /** A letter that the language does not write, not even in words that it borrowed, and that the source does not have. */
    private Optional<Finding> foreign(Texts texts) {
        UnicodeSet letters = exemplars.computeIfAbsent(texts.segment().targetLanguage(), CharactersCheck::exemplars);
        String target = texts.target();
        String script = texts.targetLanguage().script();
        if (letters.isEmpty()) {
            return Optional.empty();
        }
        int c;
        for (int at = 0; at < target.length(); at += Character.charCount(c)) {
            c = target.codePointAt(at);
            boolean asked = c >= FIRST_OTHER && Character.isLetter(c) && c != TATWEEL && isOf(script, c);
            if (asked && !isWritten(c, letters) && texts.source().indexOf(c) < 0) {
                String letter = Character.toString(c);
                Span span = new Span(at, at + letter.length());
                return Optional.of(
                        warning(texts, Phrase.of("check.characters.foreign", letter), List.of(), List.of(span)));
            }
        }
        return Optional.empty();
    }

    /** A letter of the language, also with a mark on it. */
    private static boolean isWritten(int c, UnicodeSet letters) {
        return letters.contains(c)
                || !isOf("Latn", c)
                        && letters.contains(Normalizer2.getNFDInstance()
                                .normalize(Character.toString(c))
                                .codePointAt(0));
    }

    /** Whether a letter belongs to the script in which the language is written; other scripts are words of other languages. */
    private static boolean isOf(String script, int c) {
        return UScript.getShortName(UScript.getScript(c)).equals(script);
    }

    /** The letters of a language with an alphabet, by CLDR, small and capital; nothing for other languages. */
    private static UnicodeSet exemplars(String language) {
        if (language.isEmpty() || !ALPHABETS.contains(Language.of(language).script())) {
            return new UnicodeSet();
        }
        LocaleData data = LocaleData.getInstance(ULocale.forLanguageTag(language));
        UnicodeSet letters = new UnicodeSet(data.getExemplarSet(0, LocaleData.ES_STANDARD));
        if (!WITHOUT_LOANS.contains(Language.of(language).script())
                && !Language.of(language).isOneOf("fa")) {
            letters.addAll(data.getExemplarSet(0, LocaleData.ES_AUXILIARY));
        }
        return letters.closeOver(UnicodeSet.ADD_CASE_MAPPINGS)
                .addAll('ª', 'ª')
                .addAll('º', 'º')
                .addAll('ẞ', 'ẞ')
                .freeze();
    }

    private void find(Texts texts, Pattern pattern, String key, List<Finding> findings) {
        Matcher matcher = pattern.matcher(texts.target());
        if (matcher.find() && !pattern.matcher(texts.source()).find()) {
            List<Span> span = List.of(new Span(matcher.start(), matcher.end()));
            findings.add(error(texts, Phrase.of(key, matcher.group()), List.of(), span));
        }
    }

    private static List<Span> odd(String text, String source) {
        List<Span> spans = new ArrayList<>();
        int character;
        for (int at = 0; at < text.length(); at += Character.charCount(character)) {
            character = text.codePointAt(at);
            if (isOdd(character) && source.indexOf(character) < 0) {
                spans.add(new Span(at, at + Character.charCount(character)));
            }
        }
        return spans;
    }

    private static boolean isOdd(int character) {
        if (character >= ' ' && character < 0x7F || character == '\n' || character == '\t' || character == '\r') {
            return false;
        }
        if (character >= 0xA0 && character < FIRST_COMBINING) {
            return false;
        }
        int category = UCharacter.getType(character);
        return character == 0xFFFD
                || category == UCharacterCategory.CONTROL
                || category == UCharacterCategory.UNASSIGNED
                || category == UCharacterCategory.SURROGATE
                || category == UCharacterCategory.PRIVATE_USE;
    }
}
