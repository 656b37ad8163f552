package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.TagNotation;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.server.DeskServer;
import org.swaplane.desktop.session.Releasing;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.document.State;
import org.swaplane.lane.DeskJob;
import org.swaplane.lane.LaneDetail;

/** From a task that the client's desk offers to its receipt, in the window. */
class DeskJourneyTest extends LaneWindow {
    @TempDir
    private static Path state;

    private DeskServer server;

    @BeforeEach
    void startDesk() throws IOException {
        server = DeskServer.start(0, state.resolve("desk"), DAY);
        server.offer(
                "t-1",
                "Winter page",
                "en-GB",
                List.of("de-DE"),
                "2026-12-11",
                "Times as on the signs.",
                Map.of("web/page.html", "<p>The ferry leaves at <b>14:05</b>.</p>".getBytes(StandardCharsets.UTF_8)),
                Optional.empty(),
                Map.of());
    }

    @AfterEach
    void stopDesk() {
        server.close();
    }

    private DeskJob job() {
        return session.deskWork().rows().get(0).job().orElseThrow();
    }

    private void type(String target) {
        interact(() -> session.editing()
                .type(0, TagNotation.read(target, now().segment(0).source()).content()));
        settle();
        interact(() -> session.editing().setState(0, State.REVIEWED));
        settle();
    }

    private void giveBack() throws Exception {
        interact(() -> session.viewProperty().set(ViewId.DESK));
        waitUntil(() -> idle() && !lookup("#desk-return").query().isDisabled());
        push(KeyCode.ALT, KeyCode.R);
        waitUntil(() -> idle() && session.messageProperty().get() != null);
        waitUntil(this::idle);
    }

    @Test
    void aTaskIsWorkedAtFromTheOfferToTheReceipt() throws Exception {
        session.lane()
                .settings()
                .set(LaneDetail.RELEASE_CONDITIONS, "dry-run reviewed")
                .join();
        push(KeyCode.ALT, KeyCode.DIGIT7);
        interact(() -> {
            TextField address = lookup("#desk-address").queryAs(TextField.class);
            address.setText(server.address());
            address.fireEvent(new ActionEvent());
        });
        waitUntil(() -> session.deskWork().rows().size() == 1);

        push(KeyCode.ALT, KeyCode.A);
        waitUntil(() -> session.deskWork().rows().get(0).job().isPresent());
        interact(() -> {
            ComboBox<DownloadOptions.Form> form = lookup("#desk-form").queryComboBox();
            form.setValue(DownloadOptions.Form.XLIFF_2_1);
        });
        push(KeyCode.ALT, KeyCode.L);
        waitUntil(() -> session.hasSegments() && idle() && job().isHere());
        assertThat(session.track().name()).isEqualTo("page.html.xlf");
        assertThat(session.track().plan().due()).isPresent();

        push(KeyCode.ALT, KeyCode.DIGIT2);
        press("run-dry-run");
        waitUntil(() -> session.dryRuns().resultProperty().get() != null && idle());
        type("Die Fähre fährt um 14:05.");
        giveBack();
        TableView<DeskJob.Problem> problems = lookup("#desk-problems").queryTableView();
        assertThat(problems.getItems()).isNotEmpty();
        push(KeyCode.ALT, KeyCode.O);
        assertThat(session.viewProperty().get()).isEqualTo(ViewId.REVIEW);
        assertThat(session.selectionProperty().get().keys())
                .containsExactly(now().segment(0).key());

        type("Die Fähre fährt um ⟦1⟧14:05⟦/1⟧.");
        giveBack();
        assertThat(problems.getItems()).isEmpty();
        push(KeyCode.ALT, KeyCode.H);
        waitUntil(() -> idle() && job().isClosed());

        assertThat(session.editing().isAllowed()).isFalse();
        assertThat(session.releasing().rows()).hasSize(1).allMatch(Releasing.Row::isReady);
    }
}
