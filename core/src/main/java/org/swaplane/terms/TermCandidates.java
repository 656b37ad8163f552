package org.swaplane.terms;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.apache.lucene.analysis.CharArraySet;

/**
 * Finds words and groups of words that stand in texts again and again and may be terms. A group is as long as the texts always have it;
 * its forms count together where the language has a stemmer. Groups do not begin or end with words that stand nearly everywhere.
 */
public final class TermCandidates {
    private static final int LONGEST = 4;
    private static final int SHORTEST_WORD = 3;
    /** A word that stands in so many of a hundred texts joins others and is no term, where there are many texts. */
    private static final int EVERYWHERE_PERCENT = 15;

    private static final int MANY_TEXTS = 60;

    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}\\p{N}]+(?:['’-][\\p{L}\\p{M}\\p{N}]+)*");
    private static final Pattern GAP = Pattern.compile("[ \\u00A0]");

    private final Optional<Stems> stems;
    private final CharArraySet stopWords;
    private final Map<String, Group> groups = new HashMap<>();
    private final Map<String, Integer> texts = new HashMap<>();
    private int all;

    /** A candidate, in the form in which it stands most. */
    public record Candidate(String text, int count) {}

    private static final class Group {
        private final Map<String, Integer> forms = new HashMap<>();
        private final List<String> stems;
        private int count;

        Group(List<String> stems) {
            this.stems = List.copyOf(stems);
        }
    }

    private record Word(String text, String stem, int start, int end) {}

    /** {@code language} is that of the texts, BCP 47. */
    public TermCandidates(String language) {
        String subtag = Locale.forLanguageTag(language).getLanguage();
        this.stems = Stems.of(subtag);
        this.stopWords = StopWords.of(subtag);
    }

    /** Takes a text in; the same text twice says nothing more. */
    public void add(String text) {
        List<Word> words = WORD.matcher(text).results().map(this::word).toList();
        all++;
        words.stream().map(Word::stem).distinct().forEach(stem -> texts.merge(stem, 1, Integer::sum));
        for (int from = 0; from < words.size(); from++) {
            for (int to = from + 1; to <= Math.min(words.size(), from + LONGEST); to++) {
                if (to - from > 1
                        && !GAP.matcher(text.substring(
                                        words.get(to - 2).end(),
                                        words.get(to - 1).start()))
                                .matches()) {
                    break;
                }
                count(
                        words.subList(from, to),
                        text.substring(
                                words.get(from).start(), words.get(to - 1).end()));
            }
        }
    }

    private Word word(MatchResult found) {
        String small = found.group().toLowerCase(Locale.ROOT);
        return new Word(found.group(), stems.map(each -> each.stem(small)).orElse(small), found.start(), found.end());
    }

    private void count(List<Word> words, String text) {
        List<String> own = words.stream().map(Word::stem).toList();
        Group group = groups.computeIfAbsent(String.join(" ", own), none -> new Group(own));
        group.count++;
        group.forms.merge(text, 1, Integer::sum);
    }

    /** Those that stand in the texts at least so often, what says most first. {@code known} are sources of terms that there are. */
    public List<Candidate> best(int least, int most, Set<String> known) {
        Set<String> there = new HashSet<>();
        known.forEach(term -> there.add(stemmed(term)));
        List<Group> often = groups.values().stream()
                .filter(group -> group.count >= least && isTermLike(group))
                .sorted(Comparator.<Group>comparingInt(group -> -group.stems.size()))
                .toList();
        // A group that stands only within a longer one is no candidate of its own.
        Map<String, Integer> within = new HashMap<>();
        List<Candidate> candidates = new ArrayList<>();
        for (Group group : often) {
            String key = String.join(" ", group.stems);
            if (group.count - within.getOrDefault(key, 0) >= least) {
                parts(group.stems).forEach(part -> within.merge(part, group.count, Math::max));
                if (!there.contains(key)) {
                    candidates.add(new Candidate(mostUsed(group), group.count));
                }
            }
        }
        return candidates.stream()
                .sorted(Comparator.comparingInt(TermCandidates::weight)
                        .reversed()
                        .thenComparing(Candidate::text))
                .limit(most)
                .toList();
    }

    private static int weight(Candidate candidate) {
        return candidate.count()
                * (1 + (int) candidate.text().chars().filter(c -> c == ' ').count());
    }

    private String stemmed(String term) {
        return WORD.matcher(term)
                .results()
                .map(found -> word(found).stem())
                .reduce((one, other) -> one + ' ' + other)
                .orElse("");
    }

    private boolean isTermLike(Group group) {
        String first = group.stems.get(0);
        String last = group.stems.get(group.stems.size() - 1);
        return saysSomething(first) && saysSomething(last);
    }

    private boolean saysSomething(String stem) {
        return stem.length() >= SHORTEST_WORD
                && stem.chars().anyMatch(Character::isLetter)
                && !stopWords.contains(stem)
                && (all < MANY_TEXTS || texts.get(stem) * 100 <= all * EVERYWHERE_PERCENT);
    }

    private static List<String> parts(List<String> stems) {
        List<String> parts = new ArrayList<>();
        for (int from = 0; from < stems.size(); from++) {
            for (int to = from + 1; to <= stems.size(); to++) {
                if (to - from < stems.size()) {
                    parts.add(String.join(" ", stems.subList(from, to)));
                }
            }
        }
        return parts;
    }

    private static String mostUsed(Group group) {
        return group.forms.entrySet().stream()
                .max(Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .orElseThrow()
                .getKey();
    }
}
