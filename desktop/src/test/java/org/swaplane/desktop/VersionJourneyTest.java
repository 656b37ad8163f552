package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.intake.Arrival;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Trip;
import org.swaplane.task.Progress;
import org.swaplane.version.Outcome;
import org.swaplane.version.SegmentMatch;

/** The client sends a file again while a copy of it is away: compare, take, send the rest, bring the late copy home, release. */
class VersionJourneyTest extends LaneWindow {
    private ListView<SegmentMatch> rows() {
        return lookup("#compare-rows").queryListView();
    }

    private Path secondVersion() throws Exception {
        String first = new String(DemoLane.file(), StandardCharsets.UTF_8);
        String second = first.replace("departs at 14:05", "departs at 14:35");
        assertThat(second).isNotEqualTo(first);
        return Files.writeString(folder.resolve("from client again.xlf"), second);
    }

    private int changed() {
        return IntStream.range(0, now().size())
                .filter(i -> now().segment(i).source().plainText().contains("14:35"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aSecondVersionArrivesWhileACopyIsAway() throws Exception {
        takeIn();
        int reviewed = 2;
        interact(() -> session.editing()
                .setTarget(reviewed, Content.of("Die erste Fähre fährt um 06:40 Uhr."), StepKind.TYPED));
        interact(() -> session.editing().setState(reviewed, State.REVIEWED));
        settle();
        interact(() -> session.exchange()
                .send(SendRequest.of("Ines Falk", Purpose.REVIEW, new SendRequest.Form("tsv")), false));
        waitUntil(() -> session.lane().trips().all().size() == 1 && idle());

        interact(() -> session.intakes().receive(List.of(secondVersionOrFail())));
        waitUntil(() -> session.intakes().property().get() != null && idle());
        Arrival arrival = session.intakes().property().get().arrivals().get(0);
        assertThat(arrival.role()).isEqualTo(Arrival.Role.VERSION);
        assertThat(arrival.version().orElseThrow().counts()).containsEntry(Outcome.CHANGED, 1);

        press("compare-arrival");
        waitUntil(() -> rows().getItems().size() == 1 && idle());
        assertThat(session.viewProperty().get()).isEqualTo(ViewId.COMPARE);
        interact(() -> lookup("#compare-lock").queryAs(CheckBox.class).setSelected(true));
        press("take-version");
        waitUntil(() -> track().version().number() == 2 && idle());

        assertThat(now().state(reviewed)).isEqualTo(State.REVIEWED);
        assertThat(now().segment(reviewed).locked()).isTrue();
        assertThat(now().target(changed())).isEqualTo(Content.EMPTY);
        assertThat(now().segment(changed()).proposals()).hasSize(1);
        assertThat(now().segment(changed()).locked()).isFalse();

        lateCopyComesHome();
        releaseAndReadAgain();

        push(KeyCode.CONTROL, KeyCode.Z);
        push(KeyCode.CONTROL, KeyCode.Z);
        waitUntil(() -> track().version().number() == 1);
        assertThat(now().state(reviewed)).isEqualTo(State.REVIEWED);
    }

    private Path secondVersionOrFail() {
        try {
            return secondVersion();
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    /** Two rows were answered: one that changed since, which is named, and one that is locked by now. */
    private void lateCopyComesHome() throws Exception {
        Trip trip = session.lane().trips().all().get(0);
        String sent = Files.readString(session.lane().folder().resolve("sent").resolve(trip.sentName()));
        String answered = sent.replace("15:04 Uhr", "14:05 Uhr");
        assertThat(answered).isNotEqualTo(sent);
        Path copy = Files.writeString(folder.resolve("late.tsv"), answered);
        interact(() -> session.intakes().receive(List.of(copy)));
        waitUntil(() -> session.exchange().returnedProperty().get() != null);
        assertThat(session.exchange().returnedProperty().get().reading().changes())
                .isEmpty();
        assertThat(session.exchange().returnedProperty().get().reading().problems())
                .anyMatch(problem -> problem.message().contains("no longer fits"));
        interact(() -> session.exchange().leave());
    }

    private void releaseAndReadAgain() throws Exception {
        interact(() -> session.editing()
                .setTarget(
                        changed(),
                        Content.of("Die Nachmittagsüberfahrt startet um 14:35 Uhr an Pier 3."),
                        StepKind.TYPED));
        settle();
        Path out = folder.resolve("result.xlf");
        interact(() -> session.saving().save(out));
        waitUntil(() -> Files.exists(out) && idle());
        var written = FormatRegistry.ofInstalled()
                .open(Source.of(out), FileOptions.NONE, Progress.NONE)
                .document();
        assertThat(written.segments().get(changed()).target().plainText()).contains("14:35 Uhr");
        assertThat(written.segments().get(2).locked()).isTrue();
    }
}
