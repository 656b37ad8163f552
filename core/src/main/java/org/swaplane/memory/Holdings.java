package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.lucene.document.Document;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermQuery;

/**
 * Who holds which units of a memory. A pair of texts is there once, however many segments hold it, and stays as long as one does, or when it
 * came by itself. Changes wait here until there are many or they are committed, so that what is gathered again unchanged writes nothing.
 */
final class Holdings {
    private static final int MOST_WAITING = 10_000;

    private final IndexWriter writer;
    private final Map<String, Held> waiting = new LinkedHashMap<>();
    /** Which unit a holder has for a segment, of the units that wait; nothing where it has none any more. */
    private final Map<String, Optional<String>> places = new HashMap<>();

    private DirectoryReader reader;
    private volatile boolean behind;

    /**
     * A segment for which somebody holds a unit.
     *
     * @param context with the key of the segment
     */
    record Hold(String holder, String origin, MemoryUnit.Context context) {
        String place() {
            return place(holder, context.key());
        }

        static String place(String holder, String key) {
            return holder + '/' + key;
        }
    }

    /**
     * Why a unit is there.
     *
     * @param byItself whether it was added, and not only held
     */
    record Standing(boolean byItself, List<Hold> holds) {
        static final Standing BY_ITSELF = new Standing(true, List.of());
    }

    private static final class Held {
        private final Optional<Standing> stored;
        private final Map<String, Hold> holds = new LinkedHashMap<>();
        private MemoryUnit unit;
        private boolean byItself;
        private boolean isNew;

        Held(MemoryUnit unit, Optional<Standing> stored) {
            this.unit = unit;
            this.stored = stored;
            this.byItself = stored.map(Standing::byItself).orElse(false);
            stored.ifPresent(standing -> standing.holds().forEach(hold -> holds.put(hold.place(), hold)));
        }

        Standing standing() {
            return new Standing(byItself, List.copyOf(holds.values()));
        }
    }

    Holdings(IndexWriter writer) {
        this.writer = writer;
    }

    /** Has a holder hold a unit for the segment that its context names, in place of what he held for it. */
    synchronized void put(String holder, MemoryUnit unit) throws IOException {
        String id = unit.id();
        String place = Hold.place(holder, unit.context().key());
        if (!unitAt(place).equals(Optional.of(id))) {
            release(place);
        }
        Held held = here(unit);
        if (!held.byItself) {
            held.unit = unit;
        }
        held.holds.put(place, new Hold(holder, unit.origin(), unit.context()));
        places.put(place, Optional.of(id));
        flushMany();
    }

    /** Adds a unit by itself, in place of the same pair; whoever holds that goes on holding it. */
    synchronized void add(MemoryUnit unit) throws IOException {
        Held held = here(unit);
        held.unit = unit;
        held.byItself = true;
        held.isNew = true;
        flushMany();
    }

    /** Others have written units meanwhile, which nobody holds. */
    void othersWrote() {
        behind = true;
    }

    /** Whether anything is held, which is rare where much is added. */
    synchronized boolean isAnyHeld() throws IOException {
        if (!waiting.isEmpty()) {
            return true;
        }
        for (LeafReaderContext leaf : reader().leaves()) {
            if (leaf.reader().terms(MemoryFields.PLACE) != null) {
                return true;
            }
        }
        return false;
    }

    /** Has a holder hold nothing for a segment. */
    synchronized void remove(String holder, String key) throws IOException {
        release(Hold.place(holder, key));
    }

    /** Has a holder hold nothing. */
    synchronized void removeAll(String holder) throws IOException {
        for (Held held : List.copyOf(waiting.values())) {
            releaseAll(held, holder);
        }
        for (Document each : documents(new TermQuery(new Term(MemoryFields.HOLDER, holder)))) {
            MemoryUnit unit = MemoryFields.unit(each);
            if (!waiting.containsKey(unit.id())) {
                releaseAll(wait(unit, each), holder);
                flushMany();
            }
        }
    }

    /** Takes a unit out, whoever holds it. */
    synchronized void takeOut(String id) throws IOException {
        held(id).ifPresent(held -> {
            held.byItself = false;
            held.holds.keySet().forEach(place -> places.put(place, Optional.empty()));
            held.holds.clear();
        });
        flushMany();
    }

    synchronized void forget() throws IOException {
        waiting.clear();
        places.clear();
        stale();
    }

    /** Writes what waits. */
    synchronized void flush() throws IOException {
        for (Map.Entry<String, Held> each : waiting.entrySet()) {
            Held held = each.getValue();
            Term id = new Term(MemoryFields.ID, each.getKey());
            Standing now = held.standing();
            if (!now.byItself() && now.holds().isEmpty()) {
                writer.deleteDocuments(id);
            } else if (held.isNew || !Optional.of(now).equals(held.stored)) {
                writer.updateDocument(id, MemoryFields.document(held.unit, each.getKey(), now));
            }
        }
        forget();
    }

    private void flushMany() throws IOException {
        if (waiting.size() > MOST_WAITING) {
            flush();
        }
    }

    private void release(String place) throws IOException {
        Optional<String> unit = unitAt(place);
        if (unit.isPresent()) {
            held(unit.get()).ifPresent(held -> held.holds.remove(place));
            places.put(place, Optional.empty());
        }
    }

    private void releaseAll(Held held, String holder) {
        for (Hold hold : List.copyOf(held.holds.values())) {
            if (hold.holder().equals(holder)) {
                held.holds.remove(hold.place());
                places.put(hold.place(), Optional.empty());
            }
        }
    }

    private Optional<String> unitAt(String place) throws IOException {
        Optional<String> known = places.get(place);
        if (known != null) {
            return known;
        }
        for (Document each : documents(new TermQuery(new Term(MemoryFields.PLACE, place)))) {
            MemoryUnit unit = MemoryFields.unit(each);
            if (!waiting.containsKey(unit.id())) {
                wait(unit, each);
                return Optional.of(unit.id());
            }
        }
        return Optional.empty();
    }

    /** The unit as it is held; nobody's where it was not there. */
    private Held here(MemoryUnit unit) throws IOException {
        Optional<Held> there = held(unit.id());
        if (there.isPresent()) {
            return there.get();
        }
        Held held = new Held(unit, Optional.empty());
        waiting.put(unit.id(), held);
        return held;
    }

    private Optional<Held> held(String id) throws IOException {
        Held held = waiting.get(id);
        if (held != null) {
            return Optional.of(held);
        }
        for (Document each : documents(new TermQuery(new Term(MemoryFields.ID, id)))) {
            return Optional.of(wait(MemoryFields.unit(each), each));
        }
        return Optional.empty();
    }

    private Held wait(MemoryUnit unit, Document stored) {
        Held held = new Held(unit, Optional.of(MemoryFields.standing(stored)));
        waiting.put(unit.id(), held);
        held.holds.keySet().forEach(place -> places.put(place, Optional.of(unit.id())));
        return held;
    }

    private DirectoryReader reader() throws IOException {
        if (reader == null) {
            behind = false;
            reader = DirectoryReader.open(writer);
        }
        return reader;
    }

    private List<Document> documents(Query query) throws IOException {
        if (behind) {
            stale();
        }
        IndexSearcher searcher = new IndexSearcher(reader());
        List<Document> found = new ArrayList<>();
        for (ScoreDoc hit : searcher.search(query, Math.max(1, reader.maxDoc())).scoreDocs) {
            found.add(searcher.storedFields().document(hit.doc));
        }
        return found;
    }

    private void stale() throws IOException {
        if (reader != null) {
            reader.close();
            reader = null;
        }
    }

    /** Lets go of the index. */
    synchronized void close() throws IOException {
        stale();
    }
}
