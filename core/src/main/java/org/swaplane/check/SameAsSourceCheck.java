package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.placeholder.Addresses;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.spelling.Dictionary;
import org.swaplane.wording.Phrase;

/** A target that is the source again, unless there is no word in it that could be translated. */
final class SameAsSourceCheck implements Check {
    private static final Pattern WORD = Pattern.compile("(?<![\\p{L}\\p{N}-])\\p{L}{2,}+(?![\\p{N}-])");
    /** Names of files, paths and accounts. */
    private static final Pattern CODE =
            Pattern.compile("[@#]\\p{L}[\\w-]*|\\S*[\\\\_]\\S*|\\S*/\\S*/\\S*|[\\w-]+(?:\\.[A-Za-z]\\w{1,4})+(?!\\w)");
    /** Capitals up to here are an abbreviation, unless a dictionary says that they are a word. */
    private static final int ABBREVIATION = 3;
    /** A few words can be the same in both languages. */
    private static final int FEW = 3;

    private final Placeholders placeholders;

    SameAsSourceCheck(Placeholders placeholders) {
        this.placeholders = placeholders;
    }

    @Override
    public String id() {
        return "same-as-source";
    }

    @Override
    public List<Finding> check(CheckedSegment segment) {
        String source = segment.sourceText();
        String target = segment.targetText();
        if (!source.equals(target) || isSameLanguage(segment) || !translatable(segment)) {
            return List.of();
        }
        List<Span> all = List.of(new Span(0, source.length()));
        return List.of(Finding.in(
                segment, id(), Severity.WARNING, Phrase.of("check.same-as-source"), all, all, Optional.empty()));
    }

    /** Two kinds of one language have most of their texts in common. */
    private static boolean isSameLanguage(CheckedSegment segment) {
        Language source = Language.of(segment.sourceLanguage());
        Language target = Language.of(segment.targetLanguage());
        return source.code().equals(target.code()) && source.script().equals(target.script());
    }

    private boolean translatable(CheckedSegment segment) {
        List<String> words = words(segment.sourceText());
        if (words.isEmpty()) {
            return false;
        }
        Optional<Dictionary> source = Dictionary.shipped(segment.sourceLanguage());
        if (source.isPresent()) {
            boolean name = words.stream().allMatch(SameAsSourceCheck::isCapitalised)
                    && words.stream().anyMatch(word -> !isKnown(source.get(), word));
            if (name || words.stream().noneMatch(word -> isKnown(source.get(), word))) {
                return false;
            }
        } else if (words.stream().allMatch(word -> isCapitals(word) && word.length() <= ABBREVIATION)) {
            return false;
        }
        Optional<Dictionary> target = Dictionary.shipped(segment.targetLanguage());
        return words.size() > FEW || target.isEmpty() || !words.stream().allMatch(word -> isKnown(target.get(), word));
    }

    /** What could be a word of a language. */
    private List<String> words(String text) {
        String rest = Addresses.mask(placeholders.mask(text, ' '), ' ');
        rest = CODE.matcher(rest).replaceAll(code -> " ".repeat(code.group().length()));
        List<String> words = new ArrayList<>();
        Matcher word = WORD.matcher(rest);
        while (word.find()) {
            boolean measures = word.start() > 1
                    && rest.substring(0, word.start()).matches("(?s).*\\p{Nd}[\\s\u00A0]?")
                    && UnitSymbols.isOne(word.group());
            if (!measures && !isOfCode(word.group())) {
                words.add(word.group());
            }
        }
        return words;
    }

    /** Whether a capital stands in the middle, as in the names of programs. */
    private static boolean isOfCode(String word) {
        return !isCapitals(word) && word.substring(1).chars().anyMatch(Character::isUpperCase);
    }

    private static boolean isCapitals(String word) {
        return word.chars().allMatch(Character::isUpperCase);
    }

    private static boolean isCapitalised(String word) {
        return Character.isUpperCase(word.charAt(0));
    }

    /** Two capitals are an abbreviation in any case. */
    private static boolean isKnown(Dictionary dictionary, String word) {
        if (isCapitals(word)) {
            return word.length() > 2 && dictionary.knows(word.toLowerCase(Locale.ROOT));
        }
        return dictionary.knows(word) || dictionary.knows(word.toLowerCase(Locale.ROOT));
    }
}
