package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.swaplane.content.Content;
import org.swaplane.memory.MemoryQuery;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.MemoryUse;
import org.swaplane.memory.Provenance;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.Progress;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermIndex;

/** One search over all that a lane looks things up in: terms first, then units by the role and the priority of their files. */
public final class ReferenceSearch {
    /** So many times as many are looked at as are wanted, before the order says which are told. */
    private static final int DEPTH = 5;

    private final Lane lane;

    public ReferenceSearch(Lane lane) {
        this.lane = lane;
    }

    /**
     * What a query means.
     *
     * @param languages source and target; without them no terms are found
     * @param file name of the only file to search; empty for all
     */
    public List<ReferenceHit> find(
            MemoryQuery query,
            Optional<TranslationMemory.Languages> languages,
            String file,
            int most,
            Progress progress)
            throws IOException {
        Map<String, ReferenceHit> hits = new LinkedHashMap<>();
        if (languages.isPresent() && query.isOfAnyUnit()) {
            terms(query, languages.get(), file).forEach(hit -> add(hit, hits));
        }
        LaneMemories memories = lane.memories();
        for (MemoryUse use : memories.uses()) {
            boolean editable = !lane.isReadOnly() && !memories.isReviewed(use.memory());
            for (MemoryUnit unit : use.memory().find(query.in(file), languages, DEPTH * most, progress)) {
                add(hit(unit, use.memory().folder(), ReferenceHit.Kind.UNIT, editable), hits);
            }
        }
        Optional<TranslationMemory> texts = memories.documents();
        if (texts.isPresent() && query.side() != MemoryQuery.Side.TARGET && query.kind() == MemoryQuery.Kind.ALL) {
            Optional<TranslationMemory.Languages> alone =
                    languages.map(each -> new TranslationMemory.Languages(each.source(), ""));
            for (MemoryUnit unit : texts.get().find(query.in(file), alone, DEPTH * most, progress)) {
                add(hit(unit, texts.get().folder(), ReferenceHit.Kind.TEXT, false), hits);
            }
        }
        Map<String, Integer> priorities = new LinkedHashMap<>();
        lane.referenceFiles().all().forEach(each -> priorities.put(each.name(), priorities.size()));
        // Of several kinds of texts, which is told by the query, the order stays.
        Comparator<ReferenceHit> order = query.kind() == MemoryQuery.Kind.ALL
                ? Comparator.comparing(ReferenceHit::kind)
                        .thenComparing(ReferenceHit::role)
                        .thenComparing(hit -> priorities.getOrDefault(hit.unit().origin(), priorities.size()))
                : Comparator.comparing(ReferenceHit::kind);
        return hits.values().stream().sorted(order).limit(most).toList();
    }

    private static void add(ReferenceHit hit, Map<String, ReferenceHit> hits) {
        hits.merge(hit.texts(), hit, (before, same) -> before.again());
    }

    private ReferenceHit hit(MemoryUnit unit, Path place, ReferenceHit.Kind kind, boolean editable) {
        return new ReferenceHit(
                unit, place, kind, editable, lane.referenceFiles().role(unit.origin()), 1);
    }

    private List<ReferenceHit> terms(MemoryQuery query, TranslationMemory.Languages languages, String file)
            throws IOException {
        List<ReferenceHit> hits = new ArrayList<>();
        for (LaneTerms.Listed listed : lane.terms().all(languages.source(), languages.target())) {
            Term term = listed.term();
            String name = Path.of(listed.list()).getFileName().toString();
            List<Provenance.Property> not = term.forbidden().isEmpty()
                    ? List.of()
                    : List.of(new Provenance.Property(ReferenceHit.FORBIDDEN, String.join("; ", term.forbidden())));
            Provenance from = new Provenance("", "", "", "", name, false, not);
            boolean inFile = file.isEmpty() || name.equals(file);
            String allTargets = String.join("; ", term.preferred()) + "; " + String.join("; ", term.forbidden());
            if (inFile && isMeant(query, languages).test(unit(term, allTargets, languages, from))) {
                hits.add(new ReferenceHit(
                        unit(term, String.join("; ", term.preferred()), languages, from),
                        lane.folder().resolve(listed.list()),
                        ReferenceHit.Kind.TERM,
                        false,
                        ReferenceFiles.Role.KEY_LIST,
                        1));
            }
        }
        return hits;
    }

    private static MemoryUnit unit(Term term, String targets, TranslationMemory.Languages languages, Provenance from) {
        return new MemoryUnit(
                languages.source(),
                languages.target(),
                Content.of(term.source()),
                Content.of(targets),
                MemoryUnit.Context.UNKNOWN,
                from);
    }

    /** Words also in other forms, as everywhere. */
    private static Predicate<MemoryUnit> isMeant(MemoryQuery query, TranslationMemory.Languages languages) {
        if (query.mode() != MemoryQuery.Mode.WORDS || query.matchCase()) {
            return query.matcher();
        }
        return unit -> query.side() != MemoryQuery.Side.TARGET
                        && TermIndex.isIn(query.text(), unit.source().plainText(), languages.source())
                || query.side() != MemoryQuery.Side.SOURCE
                        && TermIndex.isIn(query.text(), unit.target().plainText(), languages.target());
    }
}
