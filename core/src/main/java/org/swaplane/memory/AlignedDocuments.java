package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** A finished document and its finished translation, cut by the rules of their languages and paired. */
public final class AlignedDocuments {
    private static final Set<FormatTraits.Markup> KEYED =
            EnumSet.of(FormatTraits.Markup.JSON, FormatTraits.Markup.PROPERTIES, FormatTraits.Markup.CATALOGUE);

    private final String sourceLanguage;
    private final String targetLanguage;
    private final String origin;
    private final Alignment.Side source;
    private final Alignment.Side target;
    private final List<AlignedPair> pairs;

    private AlignedDocuments(
            String sourceLanguage,
            String targetLanguage,
            String origin,
            Alignment.Side source,
            Alignment.Side target,
            List<AlignedPair> pairs) {
        this.sourceLanguage = sourceLanguage;
        this.targetLanguage = targetLanguage;
        this.origin = origin;
        this.source = source;
        this.target = target;
        this.pairs = pairs;
    }

    public static AlignedDocuments of(
            Source source,
            Source target,
            String sourceLanguage,
            String targetLanguage,
            FormatRegistry formats,
            Progress progress)
            throws IOException {
        BilingualDocument one = formats.open(source, FileOptions.ofLanguages(sourceLanguage, targetLanguage), progress)
                .document();
        BilingualDocument other = formats.open(
                        target, FileOptions.ofLanguages(targetLanguage, sourceLanguage), progress)
                .document();
        Alignment.Side first = side(one, sourceLanguage);
        Alignment.Side second = side(other, targetLanguage);
        List<AlignedPair> pairs = haveTheSameKeys(one, other)
                ? Alignment.byKey(first, second, progress)
                : Alignment.inOrder(first, second, progress);
        return new AlignedDocuments(sourceLanguage, targetLanguage, source.name(), first, second, pairs);
    }

    /** The texts in a language: the targets of a bilingual file that has them in it, else the sources. */
    private static Alignment.Side side(BilingualDocument document, String language) {
        boolean ofTargets = MemoryFields.language(document.targetLanguage()).equals(MemoryFields.language(language))
                && !MemoryFields.language(document.sourceLanguage()).equals(MemoryFields.language(language))
                && document.segments().stream()
                        .anyMatch(segment -> !segment.target().isEmpty());
        return new Alignment.Side(
                document.segments().stream()
                        .map(segment -> ofTargets ? segment.target() : segment.source())
                        .toList(),
                document.segments().stream().map(Segment::unit).toList());
    }

    private static boolean haveTheSameKeys(BilingualDocument one, BilingualDocument other) {
        boolean keyed = one.format().equals(other.format())
                && (KEYED.contains(FormatTraits.of(one.format()).markup())
                        || one.format().startsWith("xliff"));
        if (!keyed) {
            return false;
        }
        Set<String> keys = new HashSet<>();
        one.segments().forEach(segment -> keys.add(segment.unit()));
        Set<String> there = new HashSet<>();
        other.segments().forEach(segment -> there.add(segment.unit()));
        int all = Math.min(keys.size(), there.size());
        keys.retainAll(there);
        return keys.size() * 2 >= all && all > 0;
    }

    public List<AlignedPair> pairs() {
        return pairs;
    }

    /** The same documents with pairs that somebody corrected. */
    public AlignedDocuments with(List<AlignedPair> corrected) {
        return new AlignedDocuments(sourceLanguage, targetLanguage, origin, source, target, List.copyOf(corrected));
    }

    public String sourceLanguage() {
        return sourceLanguage;
    }

    public String targetLanguage() {
        return targetLanguage;
    }

    /** The text of a pair in the first document. */
    public Content source(AlignedPair pair) {
        return joined(pair.source(), source.texts());
    }

    /** The text of a pair in the second document. */
    public Content target(AlignedPair pair) {
        return joined(pair.target(), target.texts());
    }

    /** What a memory gets: pairs with text on both sides. */
    public List<MemoryUnit> units() {
        List<MemoryUnit> units = new ArrayList<>();
        for (AlignedPair pair : pairs) {
            Content from = source(pair);
            Content to = target(pair);
            if (!from.isEmpty() && !to.isEmpty()) {
                Provenance provenance = Provenance.of(origin).asAligned();
                units.add(new MemoryUnit(
                        sourceLanguage, targetLanguage, from, to, MemoryUnit.Context.UNKNOWN, provenance));
            }
        }
        return units;
    }

    private static Content joined(List<Integer> positions, List<Content> texts) {
        List<Run> runs = new ArrayList<>();
        for (int position : positions) {
            if (!runs.isEmpty()) {
                runs.add(new Text(" "));
            }
            runs.addAll(texts.get(position).runs());
        }
        return new Content(runs);
    }
}
