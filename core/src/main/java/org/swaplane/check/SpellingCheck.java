package org.swaplane.check;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.placeholder.Addresses;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.spelling.Dictionary;
import org.swaplane.wording.Phrase;

/** Words of the target that its dictionary does not know; names, codes and what the source has as well are no such words. */
final class SpellingCheck extends TextCheck {
    private static final Pattern ELISION = Pattern.compile("\\p{L}{1,2}'\\p{L}");

    private final Map<String, Dictionary> dictionaries;
    private final Placeholders placeholders;
    private final Set<String> kept;

    /** {@code dictionaries} by language; one for {@code de} is also asked for {@code de-CH}. */
    SpellingCheck(Map<String, Dictionary> dictionaries, Placeholders placeholders, List<String> kept) {
        super("spelling");
        this.dictionaries = dictionaries;
        this.placeholders = placeholders;
        this.kept = new TreeSet<>();
        kept.forEach(text -> this.kept.addAll(List.of(text.split("\\s+"))));
    }

    @Override
    List<Finding> find(Texts texts) {
        Optional<Dictionary> dictionary = dictionary(texts.segment().targetLanguage());
        if (dictionary.isEmpty()) {
            return List.of();
        }
        String text = Addresses.mask(placeholders.mask(texts.target(), ' '), ' ')
                .replace('\u202F', ' ')
                .replace('_', ' ');
        BreakIterator words = BreakIterator.getWordInstance(
                ULocale.forLanguageTag(texts.segment().targetLanguage()));
        words.setText(text);
        List<Finding> findings = new ArrayList<>();
        Set<String> said = new TreeSet<>();
        int start = words.first();
        for (int end = words.next(); end != BreakIterator.DONE; start = end, end = words.next()) {
            String word = text.substring(start, end).replace('\u2019', '\'').replace("\u00AD", "");
            if (words.getRuleStatus() >= BreakIterator.WORD_LETTER
                    && isAsked(word, texts.source())
                    && !texts.hasTag(start + 1, end - 1)
                    && !knows(dictionary.get(), word)
                    && !isAbbreviation(dictionary.get(), text, start, end)
                    && said.add(word)) {
                findings.add(
                        warning(texts, Phrase.of("check.spelling", word), List.of(), List.of(new Span(start, end))));
            }
        }
        return findings;
    }

    List<String> suggestions(String word, String language) {
        return dictionary(language).map(each -> each.suggestions(word)).orElse(List.of());
    }

    private Optional<Dictionary> dictionary(String language) {
        if (dictionaries.isEmpty()) {
            return Optional.empty();
        }
        return Optional.ofNullable(dictionaries.get(language))
                .or(() -> Optional.ofNullable(dictionaries.get(language.replaceFirst("-.*", ""))));
    }

    private boolean isAsked(String word, String source) {
        boolean capitals = word.chars().skip(1).anyMatch(Character::isUpperCase);
        return word.length() > 1
                && !capitals
                && word.chars().noneMatch(Character::isDigit)
                && !kept.contains(word)
                && !source.contains(word);
    }

    /** A word with hyphens or an article before an apostrophe is known when its parts are, or what is left of it. */
    private static boolean knows(Dictionary dictionary, String word) {
        return dictionary.knows(word)
                || word.contains("-")
                        && List.of(word.split("-")).stream().allMatch(part -> part.isEmpty() || dictionary.knows(part))
                || ELISION.matcher(word).lookingAt() && dictionary.knows(word.substring(word.indexOf('\'') + 1));
    }

    /** Dictionaries have abbreviations with their stop. */
    private static boolean isAbbreviation(Dictionary dictionary, String text, int start, int end) {
        return end < text.length() && text.charAt(end) == '.' && dictionary.knows(text.substring(start, end + 1));
    }
}
