package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoReviewer;
import org.swaplane.document.State;
import org.swaplane.exchange.RowChange;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.SendRequest;

class ExchangeTest {
    private static final int AFTERNOON = 4;

    @TempDir
    private Path folder;

    private SessionBench bench;
    private LaneSession session;

    @BeforeEach
    void aCopyCameBack() throws IOException {
        bench = SessionBench.ofDemo(folder.resolve("lane"));
        session = bench.session;
        bench.run(() -> session.exchange()
                .send(SendRequest.of(DemoReviewer.NAME, Purpose.REVIEW, SendRequest.Form.DOCX), false));
        bench.settle();
        Path back = folder.resolve("whatever.docx");
        DemoReviewer.answer(
                folder.resolve("lane").resolve("sent").resolve("passenger-info_review.docx"), back, Instant.EPOCH);
        bench.run(() -> session.intakes().receive(List.of(back)));
        bench.until(() -> session.exchange().returnedProperty().get() != null);
    }

    @AfterEach
    void close() {
        bench.close();
    }

    private Set<Integer> safe() {
        return session.exchange().returnedProperty().get().reading().safe().stream()
                .map(RowChange::number)
                .collect(Collectors.toSet());
    }

    @Test
    void theAddressBookKnowsWhoWorksIntoTheLanguageAndForHowMuch() {
        session.person()
                .setContacts(List.of(
                        new Contact("Cleo Marsh", "", "", "fr, nl-NL", "0.12 EUR/word"),
                        new Contact("Nils Bergen", "", "", "de", ""),
                        new Contact("Ada Holm", "", "", "", "")));

        assertThat(session.exchange().people())
                .containsExactly("Nils Bergen", DemoReviewer.NAME, "Ada Holm", "Cleo Marsh");
        assertThat(session.exchange().ofOtherLanguages(List.of("Cleo Marsh", "Nils Bergen", "Ada Holm", "Somebody")))
                .containsExactly("Cleo Marsh");
        assertThat(session.exchange().rates(List.of("Cleo Marsh", "Nils Bergen")))
                .hasSize(1);
    }

    @Test
    void whatWasEditedBetweenLookingAndAcceptingIsNotOverwrittenAndIsSaid() throws IOException {
        bench.run(() -> session.editing().type(AFTERNOON, Content.of("edited meanwhile")));
        int others = safe().size() - 1;
        bench.run(() -> session.exchange().take(safe(), Map.of()));
        bench.settle();

        assertThat(session.track().now().target(AFTERNOON)).isEqualTo(Content.of("edited meanwhile"));
        assertThat(bench.message()).startsWith(others + " changes were accepted. One segment was changed here after");
        assertThat(session.lane().trips().all().get(0).back())
                .hasValueSatisfying(back -> assertThat(back.changesTaken()).isEqualTo(others));
        try (var reports = Files.list(folder.resolve("lane").resolve("reports"))) {
            assertThat(reports).hasSize(3);
        }
    }

    @Test
    void aReturnThatCannotBeWrittenLeavesNothingBehind() throws IOException {
        Files.delete(folder.resolve("lane").resolve("reports"));
        bench.run(() -> session.exchange().take(safe(), Map.of()));
        bench.settle();

        assertThat(session.track().now().state(AFTERNOON)).isEqualTo(State.TRANSLATED);
        assertThat(session.lane().trips().all().get(0).back()).isEmpty();
        assertThat(session.lane().trips().remarks(session.track().id())).isEmpty();
        assertThat(bench.on(() -> session.exchange().returnedProperty().get())).isNotNull();
    }
}
