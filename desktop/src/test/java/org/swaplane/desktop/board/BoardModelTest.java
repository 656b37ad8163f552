package org.swaplane.desktop.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.desktop.session.SessionBench;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Source;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.Track;
import org.swaplane.task.Progress;

/** The board's rows without a window. */
class BoardModelTest {
    @TempDir
    private Path folder;

    private SessionBench bench;
    private BoardModel model;
    private Track german;
    private Track french;

    @BeforeEach
    void theDemoLaneAndAPageInTwoLanguages() throws IOException {
        bench = SessionBench.ofDemo(folder);
        german = takeIn("page.html", "de-DE", "web/help");
        french = takeIn("page.html", "fr-FR", "web/help");
        bench.settle();
        model = new BoardModel(bench.session);
    }

    @AfterEach
    void close() {
        bench.close();
    }

    private Track takeIn(String name, String language, String in) throws IOException {
        Source page = Source.of(name, "<p>The ferry leaves at noon.</p>".getBytes(StandardCharsets.UTF_8));
        return bench.session
                .lane()
                .trackStore()
                .takeIn(page, in, FileOptions.ofLanguages("en-GB", language), Progress.NONE);
    }

    private List<String> listed(String filter) {
        return bench.on(() -> {
            model.filter(filter);
            return model.rows().stream()
                    .map(row -> row.track().name() + " " + row.track().summary().targetLanguage())
                    .toList();
        });
    }

    private BoardModel.Row row(Track track) {
        listed("");
        return bench.on(() -> model.rows().stream()
                .filter(row -> row.track() == track)
                .findFirst()
                .orElseThrow());
    }

    @ParameterizedTest
    @CsvSource({"passenger, 1", "HELP, 2", "french, 1", "fr-FR, 1", "nothing like it, 0", "'', 7"})
    void tracksAreFoundByNameFolderAndLanguage(String filter, int found) {
        assertThat(listed(filter)).hasSize(found);
    }

    @Test
    void tracksStandTogetherByFolderAndByLanguage() {
        bench.run(() -> model.group(BoardModel.Group.FOLDER));
        assertThat(sizes()).containsOnly(Map.entry("No folder", 5), Map.entry("web/help", 2));

        bench.run(() -> model.group(BoardModel.Group.LANGUAGE));
        assertThat(sizes())
                .containsOnly(Map.entry("German (Germany) (de-DE)", 6), Map.entry("French (France) (fr-FR)", 1));
    }

    private Map<String, Integer> sizes() {
        return bench.on(() -> model.groups().entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, group -> group.getValue().size())));
    }

    @Test
    void whoHasACopyIsFoundAndStopsBeingWaitedForWhenItIsWithdrawn() throws IOException {
        new CopyExport(bench.session.lane())
                .send(
                        List.of(french.now()),
                        SendRequest.of("Ines Falk", Purpose.REVIEW, SendRequest.Form.DOCX),
                        Progress.NONE)
                .get(0);
        bench.settle();
        assertThat(listed("falk")).containsExactly("page.html fr-FR");
        assertThat(row(french).progress()).isEqualTo(BoardModel.Progress.AWAY);

        bench.run(() -> bench.session
                .exchange()
                .withdraw(bench.session.lane().trips().of(french).get(0)));
        bench.until(() -> bench.session.lane().trips().away() == 0);
        assertThat(row(french).away()).isEmpty();
        assertThat(row(french).progress()).isEqualTo(BoardModel.Progress.IN_WORK);
    }

    @Test
    void whatIsPastItsDateIsOverdueAndCounted() {
        LaneWriter.await(bench.session
                .lane()
                .trackStore()
                .setDue(List.of(german), Optional.of(LocalDate.now().minusDays(2))));

        assertThat(row(german).progress()).isEqualTo(BoardModel.Progress.OVERDUE);
        BoardModel.Totals totals = bench.on(() -> BoardModel.totals(model.rows()));
        assertThat(totals.files()).isEqualTo(7);
        assertThat(totals.overdue()).isEqualTo(1);
    }

    @Test
    void whatWasRemovedComesBack() {
        bench.run(() -> bench.session.removal().remove(List.of(german, french)));
        bench.until(() -> model.rows().size() == 5);

        bench.run(() -> bench.session.removal().bringBack());
        bench.until(() -> model.rows().size() == 7);
    }

    @Test
    void documentsGetOneMoreLanguageAndBilingualFilesSayWhyNot() {
        Track bilingual = bench.session.lane().tracks().get(0);

        bench.run(() -> bench.session.intakes().addLanguage(List.of(german, bilingual), "es-ES"));
        bench.until(() -> !bench.session.background().busyProperty().get());

        assertThat(listed("es-ES")).containsExactly("page.html es-ES");
        assertThat(bench.message()).contains(bilingual.name());
    }

    @Test
    void theFirstStepIsTheDryRun() {
        assertThat(row(german).next()).isEqualTo(ViewId.DRY_RUN);
    }
}
