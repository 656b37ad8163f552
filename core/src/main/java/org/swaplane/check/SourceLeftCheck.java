package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.placeholder.Addresses;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.wording.Phrase;

/** Words of the source that stand in a row in the target as well, which is otherwise translated (part of {@code same-as-source}). */
final class SourceLeftCheck extends TextCheck {
    private static final Pattern WORD =
            Pattern.compile("(?<![\\p{L}\\p{N}'’_.-])\\p{L}[\\p{L}\\p{M}'’]*+(?![\\p{N}_-]|\\.\\p{L})");
    /** Languages that share whole sentences. */
    private static final List<Set<String>> CLOSE = List.of(
            Set.of("da", "nb", "nn", "no", "sv"),
            Set.of("es", "pt", "gl", "ca"),
            Set.of("cs", "sk"),
            Set.of("hr", "sr", "bs", "sl"),
            Set.of("ru", "uk", "be", "bg", "mk"),
            Set.of("de", "lb", "gsw", "nds"),
            Set.of("id", "ms"),
            Set.of("nl", "af"),
            Set.of("zh", "yue"));

    private static final int ROW = 4;
    /** In a text of another script two words are enough. */
    private static final int ROW_OF_OTHER_SCRIPT = 2;

    private final Placeholders placeholders;

    SourceLeftCheck(Placeholders placeholders) {
        super("same-as-source");
        this.placeholders = placeholders;
    }

    @Override
    List<Finding> find(Texts texts) {
        Language from = texts.sourceLanguage();
        Language to = texts.targetLanguage();
        // The words of a message's syntax are the same in all languages.
        boolean message = texts.source().contains(", plural,") || texts.source().contains(", select,");
        if (message || !from.hasSpaces() || areClose(from.code(), to.code())) {
            return List.of();
        }
        boolean sameScript = from.script().equals(to.script());
        int row = sameScript ? ROW : ROW_OF_OTHER_SCRIPT;
        if (!sharesRow(texts.source(), texts.target(), row)) {
            return List.of();
        }
        String source = Addresses.mask(placeholders.mask(texts.source(), ' '), ' ');
        List<Span> places = new ArrayList<>();
        Matcher word = WORD.matcher(source);
        while (word.find()) {
            places.add(new Span(word.start(), word.end()));
        }
        for (int first = 0; first + row <= places.size(); first++) {
            int last = first + row - 1;
            int at = found(texts, source, places, first, last);
            if (at < 0 || small(source, places, first, last) < row - 1 || !isRow(source, places, first, last)) {
                continue;
            }
            while (last + 1 < places.size() && found(texts, source, places, first, last + 1) >= 0) {
                last++;
            }
            at = found(texts, source, places, first, last);
            int start = places.get(first).start();
            int end = places.get(last).end();
            return List.of(warning(
                    texts,
                    Phrase.of("check.same-as-source.part", source.substring(start, end)),
                    List.of(new Span(start, end)),
                    List.of(new Span(at, at + end - start))));
        }
        return List.of();
    }

    private static int found(Texts texts, String source, List<Span> places, int first, int last) {
        return texts.target()
                .indexOf(source.substring(
                        places.get(first).start(), places.get(last).end()));
    }

    /** Whether blanks part the words, as in a sentence and not in a command. */
    private static boolean isRow(String source, List<Span> places, int first, int last) {
        for (int i = first; i < last; i++) {
            String between =
                    source.substring(places.get(i).end(), places.get(i + 1).start());
            if (between.chars().noneMatch(Character::isWhitespace)) {
                return false;
            }
        }
        return true;
    }

    /** How many of these words begin with a small letter; names do not. */
    private static long small(String source, List<Span> places, int first, int last) {
        return places.subList(first, last + 1).stream()
                .filter(each -> !Character.isUpperCase(source.charAt(each.start())))
                .count();
    }

    private static boolean areClose(String one, String other) {
        return one.equals(other) || CLOSE.stream().anyMatch(family -> family.contains(one) && family.contains(other));
    }

    /** Whether so many words of the source, by white space, stand in a row in the target: asked first, since nearly no target has some. */
    private static boolean sharesRow(String source, String target, int row) {
        int[] starts = new int[row];
        int words = 0;
        for (int i = 0; i <= source.length(); i++) {
            boolean ends = i > 0
                    && Character.isLetter(source.charAt(i - 1))
                    && (i == source.length() || !Character.isLetter(source.charAt(i)));
            if (ends && words >= row) {
                int first = starts[words % row];
                if (target.contains(source.substring(first, i))) {
                    return true;
                }
            }
            boolean begins = i < source.length()
                    && Character.isLetter(source.charAt(i))
                    && (i == 0 || !Character.isLetter(source.charAt(i - 1)));
            if (begins) {
                starts[words % row] = i;
                words++;
            }
        }
        return false;
    }
}
