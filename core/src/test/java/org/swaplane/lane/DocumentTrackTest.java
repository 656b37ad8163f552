package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.check.CheckRun;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.proof.DryRun;
import org.swaplane.proof.DryRunResult;
import org.swaplane.proof.Proof;
import org.swaplane.release.Gate;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.task.Progress;

/** A client document goes the same way through a lane as a bilingual file. */
class DocumentTrackTest {
    private static final String PAGE =
            "<html lang='en'><p>The ferry leaves. It is late.</p><p title='Tip'>Stay</p></html>";

    @TempDir
    private Path folder;

    private Lane lane;

    @BeforeEach
    void create() throws IOException {
        lane = Lane.create(folder, "Marram Sound Ferries", FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private Track takeIn(SegmentationRules segmentation) throws IOException {
        return lane.trackStore()
                .takeIn(
                        Source.of("page.html", PAGE.getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("en", "de").with(segmentation),
                        Progress.NONE);
    }

    private Track reopened() throws IOException {
        lane.close();
        lane = Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC());
        return lane.tracks().get(0);
    }

    @Test
    void theDryRunProvesIt() throws IOException {
        Track track = takeIn(SegmentationRules.shipped());

        DryRunResult result = DryRun.withDefaults(lane.formats())
                .run(
                        lane.trackStore().original(track),
                        lane.trackStore().options(track),
                        folder.resolve("dry-run/page.html"),
                        Progress.NONE);

        assertThat(result.proofs())
                .extracting(Proof::id)
                .containsExactly(
                        "identity",
                        "survival",
                        "second-reader",
                        "only-targets",
                        "reach",
                        "pictures",
                        "growth",
                        "characters",
                        "structure");
        assertThat(result.verdict()).isEqualTo(Proof.Verdict.PASS);
        assertThat(result.pseudo().segments().get(0).target().plainText()).startsWith("[Ţĥé ƒéŕŕý ");
    }

    @Test
    void itIsReleasedInTheTargetLanguageWhenAllIsTranslated() throws IOException {
        Track track = takeIn(SegmentationRules.shipped());
        Map<Integer, Value> edits = new HashMap<>();
        String[] words = {"Die Fähre fährt ab. Gleich.", "Sie ist spät.", "Hinweis", "Bleib"};
        for (int i = 0; i < words.length; i++) {
            edits.put(i, new Value(Content.of(words[i]), State.REVIEWED));
        }
        new Work(lane, track).edit(StepKind.TYPED, "Mara", "", edits);
        Track reopened = reopened();
        OneRelease delivery = new OneRelease(lane, CheckRun.ofAllChecks());

        Gate gate = delivery.gate(reopened);
        Path file = delivery.release(reopened, "no dry run");

        assertThat(gate.conditions())
                .filteredOn(condition -> Gate.ALWAYS.contains(condition.id()))
                .allMatch(Gate.Condition::holds);
        assertThat(Files.readString(file))
                .isEqualTo(
                        "<html lang='de'><p>Die Fähre fährt ab. Gleich. Sie ist spät.</p><p title='Hinweis'>Bleib</p></html>");
    }

    @Test
    void itsSegmentsStayWhateverRulesComeLater() throws IOException {
        takeIn(SegmentationRules.BY_PARAGRAPH);

        assertThat(reopened().now().size()).isEqualTo(3);
        assertThat(lane.tracks().get(0).now().document().sourceLanguage()).isEqualTo("en");
    }

    @ParameterizedTest
    @ValueSource(strings = {"file", "xliff-1.2"})
    void itGoesToAnotherToolAsXliffAndItsTargetsComeBack(String form) throws IOException {
        Track track = takeIn(SegmentationRules.shipped());
        Path sent = new CopyExport(lane)
                .send(
                        List.of(track.now()),
                        SendRequest.of("Harbour tool", Purpose.TRANSLATION, new SendRequest.Form(form)),
                        Progress.NONE)
                .get(0)
                .file();
        Path answer = Files.writeString(
                folder.resolve("back.xlf"),
                Files.readString(sent).replace("<source>Stay</source>", "<source>Stay</source><target>Bleib</target>"));
        Source copy = Source.of(answer);

        ReturnImport.Recognised back = new ReturnImport(lane)
                .recognise(copy, lane.formats().open(copy, Progress.NONE).document(), Progress.NONE)
                .orElseThrow();
        new ReturnImport(lane).take(back, Set.of(4));

        assertThat(sent).hasFileName("page_translation.html.xlf");
        assertThat(back.reading().problems()).isEmpty();
        assertThat(track.now().target(3)).isEqualTo(Content.of("Bleib"));
    }
}
