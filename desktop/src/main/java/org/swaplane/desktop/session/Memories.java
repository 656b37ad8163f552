package org.swaplane.desktop.session;

import java.io.IOException;
import java.nio.file.Path;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.content.Content;
import org.swaplane.content.Retagging;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Segment;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.lane.LaneMemories;
import org.swaplane.lane.MemoryFill;
import org.swaplane.lane.Origin;
import org.swaplane.lane.ReferenceHit;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.TrackSummary;
import org.swaplane.lane.Value;
import org.swaplane.memory.Adaptation;
import org.swaplane.memory.AlignedDocuments;
import org.swaplane.memory.AnalysisReport;
import org.swaplane.memory.MemoryEdit;
import org.swaplane.memory.MemoryFragment;
import org.swaplane.memory.MemoryMatch;
import org.swaplane.memory.MemoryTransfer;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.MemoryUse;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.memory.WordAnalysis;
import org.swaplane.report.ReportForm;

/** What the memories of the lane know, and what is done with it; all of it in the background. */
public final class Memories {
    private static final int LEAST = 70;
    private static final int MOST = 5;

    private final LaneSession session;
    private final Deque<List<LaneMemories.Edited>> edits = new ConcurrentLinkedDeque<>();
    private final ReadOnlyObjectWrapper<MemoryFill.Plan> plan = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Analysis> analysis = new ReadOnlyObjectWrapper<>();

    /** Words by band, of each file and in all. */
    public record Analysis(List<Analyzed> files, Map<WordAnalysis.Band, WordAnalysis.Amount> total) {
        private Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> byName() {
            Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> byName = new LinkedHashMap<>();
            files.forEach(file -> byName.put(file.name(), file.words().amounts()));
            return byName;
        }
    }

    /** A file as it was when its words were counted. */
    public record Analyzed(TrackSnapshot file, WordAnalysis.FileWords words) {
        public String name() {
            return Strings.text(
                    "track.in-language", file.name(), file.track().summary().targetLanguage());
        }
    }

    /**
     * A match as it can be taken.
     *
     * @param adapted whether numbers or tags of the segment were put in place
     */
    public record Offer(MemoryMatch match, Content target, boolean adapted) {
        static Offer of(MemoryMatch match, Content source) {
            Content fitted =
                    Retagging.fitted(match.unit().target(), match.unit().source(), source);
            return Adaptation.of(match, source)
                    .map(target -> new Offer(match, target, true))
                    .orElseGet(() -> new Offer(match, fitted, false));
        }
    }

    Memories(LaneSession session) {
        this.session = session;
        session.lane().memories().onFailure(failure -> session.inWindow(() -> session.failed(failure)));
        session.lane().memories().begin();
    }

    private LaneMemories lane() {
        return session.lane().memories();
    }

    /**
     * What is known for a segment.
     *
     * @param part the longest part of it that is known, where nothing is that resembles the whole
     */
    public record Known(List<Offer> offers, Optional<MemoryFragment> part) {}

    /** What is known for a segment. */
    public void lookup(TrackSnapshot track, int index, Consumer<Known> found) {
        session.background()
                .read(
                        Strings.text("task.lookup"),
                        progress -> {
                            Content source = track.segment(index).source();
                            List<Offer> offers = lane().lookup(track, index, LEAST, MOST).stream()
                                    .map(match -> Offer.of(match, source))
                                    .toList();
                            return new Known(
                                    offers, offers.isEmpty() ? lane().fragment(track, index) : Optional.empty());
                        },
                        found,
                        session::failed);
    }

    /** Makes what is offered the target of a segment. */
    public void take(int index, Offer offer) {
        Segment segment = session.snapshot().segment(index);
        if (!segment.locked()) {
            session.editing()
                    .setTarget(
                            index,
                            Value.written(offer.target())
                                    .from(Origin.memory(
                                            offer.match().score(),
                                            offer.match().unit().origin())),
                            StepKind.PROPOSED);
        }
    }

    /** Gives a unit another target, in tag notation. */
    public void edit(ReferenceHit hit, String target, Runnable done) {
        edit(List.of(hit), units -> MemoryEdit.of(units.get(0), target, person(), now()), done);
    }

    /** Replaces text in the targets of units. */
    public void replace(List<ReferenceHit> hits, String what, String by, Runnable done) {
        Pattern exactly = Pattern.compile(Pattern.quote(what));
        edit(hits, units -> MemoryEdit.replacing(units, exactly, by, false, person(), now()), done);
    }

    public void remove(List<ReferenceHit> hits, Runnable done) {
        edit(hits, MemoryEdit::without, done);
    }

    /** Puts units into another memory, which is made where there is none. */
    public void move(List<ReferenceHit> hits, Path into, Runnable done) {
        change(hits, (memory, units) -> lane().move(memory, units, into), done);
    }

    private String person() {
        return session.lane().settings().person();
    }

    private String now() {
        return session.lane().clock().instant().truncatedTo(ChronoUnit.SECONDS).toString();
    }

    private void edit(List<ReferenceHit> hits, Function<List<MemoryUnit>, MemoryEdit> edit, Runnable done) {
        change(
                hits,
                (memory, units) -> {
                    MemoryEdit wanted = edit.apply(units);
                    return wanted.changes().isEmpty() ? List.of() : List.of(lane().edit(memory, wanted));
                },
                done);
    }

    /** What is done with units of one memory. */
    private interface UnitChange {
        List<LaneMemories.Edited> make(Path memory, List<MemoryUnit> units) throws IOException;
    }

    private void change(List<ReferenceHit> hits, UnitChange change, Runnable done) {
        Map<Path, List<MemoryUnit>> byMemory = hits.stream()
                .collect(Collectors.groupingBy(
                        ReferenceHit::place, Collectors.mapping(ReferenceHit::unit, Collectors.toList())));
        session.background()
                .run(
                        Strings.text("task.memories"),
                        progress -> {
                            List<LaneMemories.Edited> made = new ArrayList<>();
                            try {
                                for (Map.Entry<Path, List<MemoryUnit>> each : byMemory.entrySet()) {
                                    made.addAll(change.make(each.getKey(), each.getValue()));
                                }
                            } finally {
                                // What was done before something failed can be undone, too.
                                if (!made.isEmpty()) {
                                    edits.push(made);
                                }
                            }
                            return made.stream()
                                    .mapToInt(each -> each.undo().before().size())
                                    .sum();
                        },
                        changes -> {
                            session.notify(Notification.Tone.DONE, Strings.text("units.changed", changes));
                            done.run();
                        });
    }

    /** Whether something that was done with units can be taken back. */
    public boolean canUndoEdit() {
        return !edits.isEmpty();
    }

    /** Takes back what was done with units last. */
    public void undoEdit(Runnable done) {
        session.background()
                .run(
                        Strings.text("task.memories"),
                        progress -> {
                            List<LaneMemories.Edited> last = edits.pollFirst();
                            for (LaneMemories.Edited each : last == null ? List.<LaneMemories.Edited>of() : last) {
                                lane().undo(each);
                            }
                            return last;
                        },
                        undone -> {
                            session.notify(Notification.Tone.DONE, Strings.text("units.undone"));
                            done.run();
                        });
    }

    public void entries(Consumer<List<LaneMemories.Entry>> known) {
        session.background().read(Strings.text("task.memories"), progress -> lane().entries(), known, session::failed);
    }

    /** Pairs the segments of a document with those of its translation. */
    public void align(Source source, Source target, Consumer<AlignedDocuments> aligned) {
        if (session.track() == null) {
            session.notify(Notification.Tone.FAILED, Strings.text("alignment.no-languages"));
            return;
        }
        TrackSummary file = session.track().summary();
        session.background()
                .run(
                        Strings.text("task.align", source.name(), target.name()),
                        progress -> AlignedDocuments.of(
                                source,
                                target,
                                file.sourceLanguage(),
                                file.targetLanguage(),
                                session.lane().formats(),
                                progress),
                        aligned);
    }

    /** Adds pairs to the lane's memory. */
    public void addAligned(AlignedDocuments documents, Runnable done) {
        if (isRefused()) {
            return;
        }
        session.background().run(Strings.text("task.import"), progress -> lane().add(documents.units()), added -> {
            session.notify(Notification.Tone.DONE, Strings.text("memories.imported", added));
            done.run();
        });
    }

    public void share(Path folder, int penalty, Runnable done) {
        change(() -> lane().share(folder, penalty), done);
    }

    public void unshare(Path folder, Runnable done) {
        change(() -> lane().unshare(folder), done);
    }

    /** Of equal matches, those of this memory come before those of the one above it. */
    public void prefer(Path folder, Runnable done) {
        change(() -> lane().prefer(folder), done);
    }

    /** Whether what is reviewed goes into a shared memory as well. */
    public void setGrows(Path folder, boolean grows, Runnable done) {
        change(() -> lane().setGrows(folder, grows), done);
    }

    /** Has all units of a memory in another one as well, which is made where there is none. */
    public void merge(Path from, Path into, Runnable done) {
        if (isRefused()) {
            return;
        }
        session.background().run(Strings.text("task.import"), progress -> lane().merge(from, into, progress), added -> {
            session.notify(Notification.Tone.DONE, Strings.text("memories.merged", added, into.toString()));
            done.run();
        });
    }

    private interface Change {
        void make() throws IOException;
    }

    private void change(Change change, Runnable done) {
        if (isRefused()) {
            return;
        }
        session.background()
                .run(
                        Strings.text("task.memories"),
                        progress -> {
                            change.make();
                            return true;
                        },
                        made -> done.run());
    }

    /** A lane that is only looked at stays as it is, and that is said. */
    private boolean isRefused() {
        if (session.lane().isReadOnly()) {
            session.notify(Notification.Tone.FAILED, Strings.text("lane.read-only"));
        }
        return session.lane().isReadOnly();
    }

    /** Writes a memory as TMX. */
    public void export(LaneMemories.Entry entry, Path file) {
        session.background()
                .run(
                        Strings.text("task.export"),
                        progress -> {
                            for (MemoryUse use : lane().uses()) {
                                TranslationMemory memory = use.memory();
                                if (memory.folder().equals(entry.folder())) {
                                    NewFile.write(file, true, out -> MemoryTransfer.write(memory, out));
                                }
                            }
                            return file;
                        },
                        written -> session.written(Strings.text("memories.exported", written.toString()), written));
    }

    /** What would be filled; null for nothing that was looked at. */
    public ReadOnlyObjectProperty<MemoryFill.Plan> planProperty() {
        return plan.getReadOnlyProperty();
    }

    public void plan(MemoryFill.Choices choices) {
        session.editing().endStep();
        TrackSnapshot track = session.snapshot();
        session.background()
                .run(
                        Strings.text("task.fill", track.name()),
                        progress -> new MemoryFill(session.lane()).plan(track, choices, progress),
                        plan::set);
    }

    /** Fills what was looked at. */
    public void fill() {
        MemoryFill.Plan meant = plan.get();
        String who = session.editing().person();
        session.background()
                .run(
                        Strings.text("task.fill", meant.made().name()),
                        progress -> new MemoryFill(session.lane()).take(meant, who),
                        done -> {
                            plan.set(null);
                            session.notify(
                                    Notification.Tone.DONE,
                                    Strings.text(
                                            "memories.filled", meant.values().size(), meant.words()));
                        });
    }

    public void forgetPlan() {
        plan.set(null);
    }

    /** Words by band; null for none that were counted. */
    public ReadOnlyObjectProperty<Analysis> analysisProperty() {
        return analysis.getReadOnlyProperty();
    }

    /** Counts the words of tracks, all in one language, by what is known of them. */
    public void analyze(List<Track> tracks) {
        session.editing().endStep();
        session.background()
                .run(
                        Strings.text("task.analyze"),
                        progress -> {
                            WordAnalysis words = new WordAnalysis(lane().uses());
                            List<Analyzed> files = new ArrayList<>();
                            Map<WordAnalysis.Band, WordAnalysis.Amount> total = new LinkedHashMap<>();
                            for (Track track : tracks) {
                                TrackSnapshot now = track.now();
                                WordAnalysis.FileWords file = words.next(now.current(), progress);
                                files.add(new Analyzed(now, file));
                                file.amounts()
                                        .forEach(
                                                (band, amount) -> total.merge(band, amount, WordAnalysis.Amount::plus));
                            }
                            return new Analysis(files, total);
                        },
                        analysis::set);
    }

    /** Shows in Review the segments of a file that are counted in a band. */
    public void show(Analyzed file, WordAnalysis.Band band, String words) {
        session.background()
                .read(
                        Strings.text("task.analyze"),
                        progress -> {
                            Set<String> keys = new HashSet<>();
                            for (int i = 0; i < file.words().bands().size(); i++) {
                                if (file.words().bands().get(i) == band) {
                                    keys.add(file.file().segment(i).key());
                                }
                            }
                            return new SegmentSelection(file.file().track(), keys, words);
                        },
                        session::show,
                        session::failed);
    }

    /** Writes the words by band as a page, a document, a workbook or a table. */
    public void report(Path path) {
        Analysis meant = analysis.get();
        session.background()
                .run(
                        Strings.text("task.report"),
                        progress -> {
                            ReportForm.write(
                                    AnalysisReport.of(
                                            meant.byName(),
                                            meant.total(),
                                            session.lane().settings().wordWeights()),
                                    path,
                                    true);
                            return path;
                        },
                        file -> session.written(Strings.text("checks.reported", file.toString()), file));
    }
}
