package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.memory.Filling;
import org.swaplane.memory.MemoryMatch;
import org.swaplane.memory.MemoryQuery;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.Provenance;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class LaneMemoriesTest {
    @TempDir
    Path folder;

    private Lane lane;
    private Track track;

    @BeforeEach
    void takeIn() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Spring", FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = take("a.properties", "a=Dogs travel free.\nb=The ferry leaves at 9:00.\nc=Dogs travel free.\n");
        lane.memories().begin();
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private Track take(String name, String text) throws IOException {
        return lane.trackStore()
                .takeIn(
                        Source.of(name, text.getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("en-GB", "de-DE"),
                        Progress.NONE);
    }

    private void put(int index, String target, State state) {
        EditRequest request = EditRequest.of(
                track.now(), StepKind.TYPED, "Mara", Map.of(index, new Value(Content.of(target), state)));
        LaneWriter.await(lane.writer().edit(request));
    }

    /** What is known for a text elsewhere, when all that was done has been taken up. */
    private List<String> known(String text) throws Exception {
        reopen();
        lane.memories().settle();
        return lookUp(text);
    }

    private List<String> lookUp(String text) throws IOException {
        return lane
                .memories()
                .search(70)
                .lookup("en-GB", "de-DE", Content.of(text), MemoryUnit.Context.UNKNOWN, 5)
                .stream()
                .map(match -> match.score() + " " + match.unit().targetWritten())
                .toList();
    }

    private void reopen() throws IOException {
        lane.close();
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.tracks().get(0);
        lane.memories().begin();
    }

    @Test
    void whatIsReviewedIsKnownAndWhatIsOpenedAgainIsNot() throws Exception {
        put(0, "Hunde reisen frei.", State.TRANSLATED);
        assertThat(known("Dogs travel free.")).isEmpty();

        put(0, "Hunde reisen frei.", State.REVIEWED);
        put(2, "Hunde reisen frei.", State.REVIEWED);
        assertThat(known("Dogs travel free.")).containsExactly("100 Hunde reisen frei.");

        put(0, "Hunde fahren frei.", State.TRANSLATED);
        assertThat(known("Dogs travel free.")).containsExactly("100 Hunde reisen frei.");
        put(2, "Hunde reisen frei.", State.TRANSLATED);
        assertThat(known("Dogs travel free.")).isEmpty();
    }

    @Test
    void aStepThatIsTakenBackTakesBackWhatWasLearnt() throws Exception {
        put(0, "Hunde reisen frei.", State.REVIEWED);
        LaneWriter.await(lane.writer().undo(track));

        assertThat(known("Dogs travel free.")).isEmpty();
    }

    @Test
    void whatAProgramThatDiedHadNotTakenUpIsGatheredWhenTheLaneIsOpened() throws Exception {
        lane.close();
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.tracks().get(0);
        // Nobody follows, as after a kill between the step and the memory.
        put(0, "Hunde reisen frei.", State.REVIEWED);

        assertThat(known("Dogs travel free.")).containsExactly("100 Hunde reisen frei.");
    }

    @Test
    void aSegmentDoesNotOfferItsOwnTranslation() throws Exception {
        put(0, "Hunde reisen frei.", State.REVIEWED);
        lane.memories().settle();

        assertThat(lane.memories().lookup(track.now(), 0, 70, 5)).isEmpty();
        assertThat(lane.memories().lookup(track.now(), 2, 70, 5))
                .extracting(MemoryMatch::score)
                .containsExactly(100);
    }

    @Test
    void aFileThatCannotBeReadAddsNothing() throws Exception {
        Source tmx = Source.of(
                "m.tmx",
                ("<tmx version=\"1.4\"><header srclang=\"en-GB\"/><body><tu creationid=\"jo\"><prop type=\"x\">y</prop>"
                                + "<tuv xml:lang=\"en-GB\"><seg>Pier 3</seg></tuv><tuv xml:lang=\"de-DE\"><seg>Anleger 3</seg></tuv></tu>")
                        .getBytes(StandardCharsets.UTF_8));

        assertThatThrownBy(() -> lane.memories().take(tmx, Optional.empty(), Progress.NONE))
                .isInstanceOf(CannotProceedException.class);
        assertThat(lane.referenceFiles().all()).isEmpty();
        assertThat(known("Pier 3")).isEmpty();
    }

    @Test
    void aSharedMemoryIsAskedLastAndLosesItsPoints() throws Exception {
        Path shared = folder.resolve("shared");
        try (TranslationMemory memory = TranslationMemory.openForWriting(shared)) {
            memory.add(new MemoryUnit(
                    "en-GB",
                    "de-DE",
                    Content.of("Dogs travel free."),
                    Content.of("Hunde kostenlos."),
                    MemoryUnit.Context.UNKNOWN,
                    Provenance.of("shared")));
        }
        lane.memories().share(shared, 5);
        put(2, "Hunde reisen frei.", State.REVIEWED);

        assertThat(known("Dogs travel free.")).containsExactly("100 Hunde reisen frei.", "95 Hunde kostenlos.");
        lane.memories().unshare(shared.toAbsolutePath().normalize());
        assertThat(known("Dogs travel free.")).containsExactly("100 Hunde reisen frei.");
    }

    @Test
    void ofSharedMemoriesThePreferredOneComesFirst() throws Exception {
        for (String name : List.of("one", "two")) {
            TranslationMemory.openForWriting(folder.resolve(name)).close();
            lane.memories().share(folder.resolve(name), 0);
        }
        lane.memories().prefer(folder.resolve("two").toAbsolutePath().normalize());

        assertThat(lane.memories().entries())
                .filteredOn(LaneMemories.Entry::shared)
                .extracting(LaneMemories.Entry::name)
                .containsExactly("two", "one");
    }

    private List<String> in(Path memory) throws IOException {
        List<String> texts = new java.util.ArrayList<>();
        try (TranslationMemory open = TranslationMemory.open(memory)) {
            open.forEach(unit -> texts.add(unit.sourceWritten() + " = " + unit.targetWritten()));
        }
        return texts;
    }

    @Test
    void aSharedMemoryGrowsOnlyWhereThatWasChosen() throws Exception {
        Path shared = folder.resolve("team").toAbsolutePath().normalize();
        put(1, "Die Fähre fährt um 9:00.", State.REVIEWED);
        lane.memories().share(shared, 0);
        put(0, "Hunde reisen frei.", State.REVIEWED);
        lane.memories().settle();
        assertThat(in(shared)).isEmpty();

        lane.memories().setGrows(shared, true);
        put(2, "Hunde kostenlos.", State.REVIEWED);
        lane.memories().settle();
        assertThat(in(shared))
                .containsExactlyInAnyOrder(
                        "The ferry leaves at 9:00. = Die Fähre fährt um 9:00.",
                        "Dogs travel free. = Hunde reisen frei.",
                        "Dogs travel free. = Hunde kostenlos.");

        put(2, "Hunde kostenlos.", State.TRANSLATED);
        reopen();
        lane.memories().settle();
        assertThat(in(shared)).hasSize(2);
    }

    @Test
    void aMemoryThatIsInUseGrowsLater() throws Exception {
        Path shared = folder.resolve("team").toAbsolutePath().normalize();
        lane.memories().share(shared, 0);
        lane.memories().setGrows(shared, true);
        lane.memories().settle();
        try (TranslationMemory other = TranslationMemory.openForWriting(shared)) {
            put(0, "Hunde reisen frei.", State.REVIEWED);
            lane.memories().settle();
            assertThat(other.size()).isZero();
        }
        put(1, "Die Fähre fährt um 9:00.", State.REVIEWED);
        lane.memories().settle();

        assertThat(in(shared)).hasSize(2);
    }

    @Test
    void aSharedMemoryWhoseFolderWasAwayGetsEverythingWhenItIsBackAndNothingTwice() throws Exception {
        Path shared = folder.resolve("team").toAbsolutePath().normalize();
        lane.memories().share(shared, 0);
        lane.memories().setGrows(shared, true);
        put(0, "Hunde reisen frei.", State.REVIEWED);
        lane.memories().settle();
        List<Exception> told = new CopyOnWriteArrayList<>();
        lane.memories().onFailure(told::add);

        Path away = Files.move(shared, folder.resolve("away"));
        put(1, "Die Fähre fährt um 9:00.", State.REVIEWED);
        lane.memories().settle();
        assertThat(shared).doesNotExist();
        assertThat(told).singleElement().asString().contains("cannot be reached");
        // Closed and opened again meanwhile, the lane still knows what is missing there.
        reopen();
        Files.move(away, shared);
        put(2, "Hunde kostenlos.", State.REVIEWED);
        lane.memories().settle();

        assertThat(in(shared))
                .containsExactlyInAnyOrder(
                        "Dogs travel free. = Hunde reisen frei.",
                        "The ferry leaves at 9:00. = Die Fähre fährt um 9:00.",
                        "Dogs travel free. = Hunde kostenlos.");
    }

    @Test
    void anOriginalThatCannotBeReadKeepsWhatWasReviewedInItAndIsNamed() throws Exception {
        put(0, "Hunde reisen frei.", State.REVIEWED);
        Track other = take("b.properties", "d=Pier 3 is closed.\n");
        reopen();
        lane.memories().settle();
        lane.close();
        Path original = folder.resolve("lane/files").resolve(track.sha256());
        byte[] bytes = Files.readAllBytes(original);
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.track(other.id());
        // Nobody follows, as after a kill, so that all is gathered anew.
        put(0, "Anleger 3 ist geschlossen.", State.REVIEWED);
        lane.close();
        Files.writeString(original, "");
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        List<Exception> told = new CopyOnWriteArrayList<>();
        lane.memories().onFailure(told::add);
        lane.memories().begin();
        lane.memories().settle();

        assertThat(told).singleElement().asString().contains("a.properties");
        assertThat(lookUp("Dogs travel free.")).containsExactly("100 Hunde reisen frei.");
        assertThat(lookUp("Pier 3 is closed.")).containsExactly("100 Anleger 3 ist geschlossen.");

        // When it can be read again, what happened in it meanwhile is gathered as well.
        Files.write(original, bytes);
        assertThat(known("Dogs travel free.")).containsExactly("100 Hunde reisen frei.");
    }

    @Test
    void memoriesAreMergedAndUnitsMovedFromOneToAnother() throws Exception {
        Path shared = folder.resolve("team").toAbsolutePath().normalize();
        Path other = folder.resolve("archive").toAbsolutePath().normalize();
        lane.memories().share(shared, 0);
        lane.memories().take(tmx("Pier", "Anleger", "Deck", "Deck"), Optional.empty(), Progress.NONE);
        Path own = lane.memories().entries().stream()
                .filter(each -> each.name().equals("imported"))
                .findFirst()
                .orElseThrow()
                .folder();

        assertThat(lane.memories().merge(own, shared, Progress.NONE)).isEqualTo(2);
        assertThat(lane.memories().merge(own, shared, Progress.NONE)).isZero();

        MemoryUnit pier = new ReferenceSearch(lane)
                .find(MemoryQuery.ofWords("pier", false), Optional.empty(), "", 5, Progress.NONE)
                .get(0)
                .unit();
        List<LaneMemories.Edited> moved = lane.memories().move(own, List.of(pier), other);
        assertThat(in(other)).containsExactly("Pier = Anleger");
        assertThat(lane.memories().unitsOf("m.tmx")).isEqualTo(1);
        for (LaneMemories.Edited each : moved) {
            lane.memories().undo(each);
        }
        assertThat(in(other)).isEmpty();
        assertThat(lane.memories().unitsOf("m.tmx")).isEqualTo(2);
    }

    @Test
    void theFolderInsideAMemoryMeansTheMemoryAndOneWithOtherThingsIsNone() throws Exception {
        Path team = folder.resolve("team").toAbsolutePath().normalize();
        lane.memories().share(team, 0);
        lane.memories().take(tmx("Pier", "Anleger"), Optional.empty(), Progress.NONE);
        Path own = folder.resolve("lane/memory/imported");

        assertThat(lane.memories().merge(own, team.resolve("index"), Progress.NONE))
                .isEqualTo(1);
        assertThat(in(team)).containsExactly("Pier = Anleger");

        assertThatThrownBy(() -> lane.memories().merge(own, folder, Progress.NONE))
                .isInstanceOf(CannotProceedException.class);
        assertThatThrownBy(() -> lane.memories().share(folder, 0)).isInstanceOf(CannotProceedException.class);
    }

    private static Source tmx(String... texts) {
        StringBuilder units = new StringBuilder("<tmx version=\"1.4\"><header srclang=\"en-GB\"/><body>");
        for (int i = 0; i < texts.length; i += 2) {
            units.append("<tu><tuv xml:lang=\"en-GB\"><seg>")
                    .append(texts[i])
                    .append("</seg></tuv><tuv xml:lang=\"de-DE\"><seg>")
                    .append(texts[i + 1])
                    .append("</seg></tuv></tu>");
        }
        return Source.of("m.tmx", (units + "</body></tmx>").getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void whatANewFileBeginsWithIsASettingOfTheLane() throws Exception {
        put(0, "Hunde reisen frei.", State.REVIEWED);
        lane.memories().settle();
        LaneWriter.await(lane.settings().set(LaneDetail.NEW_TARGETS, NewTargets.MEMORY.word()));
        Track filled = take("b.properties", "a=Dogs travel free.\nb=New.\n");
        NewTargets.fill(lane, filled, Progress.NONE);
        assertThat(filled.now().target(0).plainText()).isEqualTo("Hunde reisen frei.");
        assertThat(filled.now().value(0).origin()).isEqualTo(Origin.memory(100, "a.properties"));
        assertThat(filled.now().target(1).isEmpty()).isTrue();

        LaneWriter.await(lane.settings().set(LaneDetail.NEW_TARGETS, NewTargets.SOURCE.word()));
        Track copied = take("c.properties", "a=Dogs travel free.\n");
        NewTargets.fill(lane, copied, Progress.NONE);
        assertThat(copied.now().target(0).plainText()).isEqualTo("Dogs travel free.");
        assertThat(copied.now().state(0)).isEqualTo(State.INITIAL);
    }

    @Test
    void fillingIsLookedAtFirstAndLocksWhatStandsInItsContext() throws Exception {
        for (int i = 0; i < 3; i++) {
            put(
                    i,
                    List.of("Hunde reisen frei.", "Die Fähre legt um 9:00 ab.", "Hunde reisen frei.")
                            .get(i),
                    State.REVIEWED);
        }
        reopen();
        Track again =
                take("b.properties", "a=Dogs travel free.\nb=The ferry leaves at 9:00.\nz=Dogs travel free.\nn=New.\n");
        lane.memories().settle();
        MemoryFill fill = new MemoryFill(lane);
        MemoryFill.Plan plan =
                fill.plan(again.now(), new MemoryFill.Choices(100, Filling.Over.EMPTY, true), Progress.NONE);

        assertThat(plan.values()).containsOnlyKeys(0, 1, 2);
        assertThat(again.now().target(0).isEmpty()).isTrue();
        fill.take(plan, "Mara");

        assertThat(again.now().target(1).plainText()).isEqualTo("Die Fähre legt um 9:00 ab.");
        assertThat(again.now().value(1).locked()).isEqualTo(again.now().canLock());
        assertThat(again.now().target(3).isEmpty()).isTrue();
        LaneWriter.await(lane.writer().undo(again));
        assertThat(again.now().target(1).isEmpty()).isTrue();
    }
}
