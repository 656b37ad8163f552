package org.swaplane.memory;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.swaplane.compare.EditDistance;
import org.swaplane.compare.Symbols;
import org.swaplane.content.Content;
import org.swaplane.content.TagNumbers;

/**
 * How well a unit fits a source: its similarity less the penalties.
 *
 * @param context where the source stands
 * @param targets how many translations the memory has of this very source
 */
record Scoring(Content source, MemoryUnit.Context context, String sourceLanguage, String targetLanguage, int targets) {
    private static final int SEVERAL_TARGETS = 1;
    private static final int OTHER_REGION = 1;
    private static final int ALIGNED = 3;
    private static final int OTHER_TAGS = 1;
    private static final int SPACE_OR_CASE = 1;

    /** No more than this is taken off a similarity. */
    static final int MOST_PENALTIES = SEVERAL_TARGETS + OTHER_REGION + ALIGNED + OTHER_TAGS + SPACE_OR_CASE;

    /** @param least below it the similarity need not be exact */
    MemoryMatch of(MemoryUnit unit, int least) {
        int similarity =
                EditDistance.similarity(Symbols.of(unit.source(), unit.source()), Symbols.of(source, source), least);
        boolean same = similarity == EditDistance.SAME;
        if (same && unit.context().matches(context)) {
            return new MemoryMatch(MemoryMatch.Kind.CONTEXT, similarity, Map.of(), unit);
        }
        Map<String, Integer> penalties = new LinkedHashMap<>();
        if (unit.provenance().aligned()) {
            penalties.put("aligned", ALIGNED);
        }
        boolean sameRegion = unit.sourceLanguage().equalsIgnoreCase(sourceLanguage)
                && unit.targetLanguage().equalsIgnoreCase(targetLanguage);
        if (!sameRegion) {
            penalties.put("region", OTHER_REGION);
        }
        if (same && targets > 1) {
            penalties.put("several-targets", SEVERAL_TARGETS);
        }
        if (!same && similarity >= least) {
            differences(unit.source(), penalties);
        }
        int score = similarity
                - penalties.values().stream().mapToInt(Integer::intValue).sum();
        return new MemoryMatch(same ? MemoryMatch.Kind.EXACT : MemoryMatch.Kind.FUZZY, score, penalties, unit);
    }

    private void differences(Content other, Map<String, Integer> penalties) {
        boolean sameText = other.plainText().equals(source.plainText());
        if (!tags(other).equals(tags(source))) {
            penalties.put("tags", OTHER_TAGS);
        }
        if (!sameText && folded(other).equals(folded(source))) {
            penalties.put("space-case", SPACE_OR_CASE);
        }
    }

    private static List<String> tags(Content content) {
        Iterator<Integer> numbers = TagNumbers.of(content).in(content).iterator();
        return content.tags().stream()
                .map(tag -> tag.kind() + " " + numbers.next())
                .toList();
    }

    private static String folded(Content content) {
        return content.plainText().toLowerCase(Locale.ROOT).replaceAll("\\s+", "");
    }
}
