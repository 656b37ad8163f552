package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
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
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.memory.Adaptation;
import org.swaplane.memory.AnalysisReport;
import org.swaplane.memory.MemoryMatch;
import org.swaplane.memory.MemoryTransfer;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.MemoryUse;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.memory.WordAnalysis;
import org.swaplane.report.ReportForm;

/** What the memories of the lane know, and what is done with it; all of it in the background. */
public final class Memories {
    /** As many as somebody looks at. */
    public static final int MOST_FOUND = 200;

    private static final int LEAST = 70;
    private static final int MOST = 5;

    private final LaneSession session;
    private final ReadOnlyObjectWrapper<MemoryFill.Plan> plan = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Analysis> analysis = new ReadOnlyObjectWrapper<>();

    /** Words by band, by the name of the file and in all. */
    public record Analysis(
            Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> files,
            Map<WordAnalysis.Band, WordAnalysis.Amount> total) {}

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
        session.lane().memories().onFailure(session::failed);
        session.lane().memories().begin();
    }

    private LaneMemories lane() {
        return session.lane().memories();
    }

    /** What is known for a segment. */
    public void lookup(TrackSnapshot track, int index, Consumer<List<Offer>> found) {
        session.background()
                .read(
                        Strings.text("task.lookup"),
                        progress -> {
                            Content source = track.segment(index).source();
                            return lane().lookup(track, index, LEAST, MOST).stream()
                                    .map(match -> Offer.of(match, source))
                                    .toList();
                        },
                        found,
                        session::failed);
    }

    /** Makes what is offered the target of a segment. */
    public void take(int index, Offer offer) {
        Segment segment = session.snapshot().segment(index);
        if (!segment.locked()) {
            session.editing().setTarget(index, offer.target(), StepKind.PROPOSED);
        }
    }

    /** Units of all memories with these words on one side, in the languages of the file that is worked at. */
    public void find(String words, boolean inTarget, Consumer<List<MemoryUnit>> found) {
        Track track = session.track();
        session.background()
                .read(
                        Strings.text("task.find", words),
                        progress -> {
                            Stream.Builder<MemoryUnit> all = Stream.builder();
                            for (MemoryUse use : lane().uses()) {
                                (track == null
                                                ? use.memory().find(words, inTarget, MOST_FOUND)
                                                : use.memory()
                                                        .find(
                                                                words,
                                                                inTarget,
                                                                track.summary().sourceLanguage(),
                                                                track.summary().targetLanguage(),
                                                                MOST_FOUND))
                                        .forEach(all);
                            }
                            return all.build().limit(MOST_FOUND).toList();
                        },
                        found,
                        session::failed);
    }

    public void entries(Consumer<List<LaneMemories.Entry>> known) {
        session.background().read(Strings.text("task.memories"), progress -> lane().entries(), known, session::failed);
    }

    /** Adds the translations of files to the lane's memory. */
    public void add(List<Path> files, Runnable done) {
        if (isRefused()) {
            return;
        }
        session.background()
                .run(
                        Strings.text("task.import"),
                        progress -> lane().take(files.stream().map(Source::of).toList(), progress),
                        added -> {
                            session.notify(Notification.Tone.DONE, Strings.text("memories.imported", added));
                            done.run();
                        });
    }

    public void share(Path folder, int penalty, Runnable done) {
        if (isRefused()) {
            return;
        }
        session.background()
                .run(
                        Strings.text("task.memories"),
                        progress -> {
                            lane().share(folder, penalty);
                            return folder;
                        },
                        shared -> done.run());
    }

    public void unshare(Path folder, Runnable done) {
        if (isRefused()) {
            return;
        }
        session.background()
                .run(
                        Strings.text("task.memories"),
                        progress -> {
                            lane().unshare(folder);
                            return folder;
                        },
                        shared -> done.run());
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
                            Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> files = new LinkedHashMap<>();
                            Map<WordAnalysis.Band, WordAnalysis.Amount> total = new LinkedHashMap<>();
                            for (Track track : tracks) {
                                Map<WordAnalysis.Band, WordAnalysis.Amount> file =
                                        words.next(track.now().current(), progress);
                                String name = track.summary().targetLanguage();
                                files.put(Strings.text("track.in-language", track.name(), name), file);
                                file.forEach((band, amount) -> total.merge(band, amount, WordAnalysis.Amount::plus));
                            }
                            return new Analysis(files, total);
                        },
                        analysis::set);
    }

    /** Writes the words by band as a page, a document, a workbook or a table. */
    public void report(Path path) {
        Analysis meant = analysis.get();
        session.background()
                .run(
                        Strings.text("task.report"),
                        progress -> {
                            ReportForm.write(AnalysisReport.of(meant.files(), meant.total()), path, true);
                            return path;
                        },
                        file -> session.written(Strings.text("checks.reported", file.toString()), file));
    }
}
