package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.exchange.RowChange;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.Track;
import org.swaplane.lane.Trip;
import org.swaplane.task.Progress;

/** Three files to four people by words, by keyboard, and back in another order: one twice, one damaged, one of another lane. */
class ExchangeJourneyTest extends LaneWindow {
    private static final List<String> PEOPLE = List.of("Ines Falk", "Bo Lind", "Kim Holt", "Ana Vik");

    private static Source file(String name) {
        String units = IntStream.range(0, 12)
                .mapToObj(i -> "<trans-unit id=\"" + name + i + "\"><source>Sentence " + name + " number " + i
                        + " about the pier</source><target>Satz " + name + " Nummer " + i + "</target></trans-unit>")
                .collect(Collectors.joining());
        return Source.of(
                name + ".xlf",
                ("<xliff version=\"1.2\" xmlns=\"urn:oasis:names:tc:xliff:document:1.2\"><file original=\"" + name
                                + "\" source-language=\"en\" target-language=\"de\" datatype=\"plaintext\"><body>"
                                + units
                                + "</body></file></xliff>")
                        .getBytes(StandardCharsets.UTF_8));
    }

    private void takeInThree() throws Exception {
        for (String name : List.of("alpha", "beta", "gamma")) {
            Track track = session.lane().trackStore().takeIn(file(name), FileOptions.NONE, Progress.NONE);
            interact(() -> session.choose(track));
            waitUntil(() -> session.track() == track && session.hasSegments() && idle());
        }
    }

    private void bringBack(Path copy) throws Exception {
        interact(() -> session.intakes().receive(List.of(copy)));
        waitUntil(this::idle);
    }

    /** A copy in which every text that says so is answered in another word. */
    private Path answered(Trip trip, String word) throws Exception {
        Path sent = session.lane().folder().resolve("sent").resolve(trip.sentName());
        String text = Files.readString(sent).replace("Satz ", word + " ");
        return Files.writeString(folder.resolve("back " + trip.code() + ".tsv"), text);
    }

    private ListView<RowChange> changes() {
        return lookup("#return-changes").queryListView();
    }

    private void acceptAllShown() throws Exception {
        waitUntil(() -> session.exchange().returnedProperty().get() != null
                && !changes().getItems().isEmpty());
        press("choose-all");
        press("take-changes");
        waitUntil(() -> session.exchange().returnedProperty().get() == null && idle());
    }

    @Test
    void fourPeopleShareThreeFilesAndEverythingComesHomeOnce() throws Exception {
        takeInThree();
        interact(() -> session.exchange().choose(session.lane().tracks()));
        push(KeyCode.ALT, KeyCode.DIGIT3);
        interact(() -> lookup("#send-form").<SendRequest.Form>queryComboBox().setValue(new SendRequest.Form("tsv")));
        interact(() -> {
            ComboBox<String> people = lookup("#send-person").queryComboBox();
            people.getEditor().setText(String.join("; ", PEOPLE));
            people.getEditor().requestFocus();
        });
        push(KeyCode.ENTER);
        waitUntil(() -> session.lane().trips().all().size() == 12 && idle());
        assertThat(session.lane().trips().all().stream().map(Trip::person).collect(Collectors.toSet()))
                .isEqualTo(Set.copyOf(PEOPLE));
        assertThat(session.lane().trips().all().stream().mapToInt(Trip::words).sum())
                .isEqualTo(session.lane().tracks().stream()
                        .mapToInt(track -> IntStream.range(0, track.now().size())
                                .map(track.now()::words)
                                .sum())
                        .sum());

        List<Trip> back = new ArrayList<>(session.lane().trips().all());
        Collections.reverse(back);
        for (Trip trip : back) {
            bringBack(answered(trip, "Zeile"));
            acceptAllShown();
        }
        for (Track track : session.lane().tracks()) {
            assertThat(IntStream.range(0, 12)
                            .mapToObj(i -> track.now().target(i).plainText()))
                    .allMatch(text -> text.startsWith("Zeile "));
        }

        // One comes twice: there is nothing more to accept, and nothing is written.
        bringBack(answered(back.get(0), "Zeile"));
        waitUntil(() -> session.exchange().returnedProperty().get() != null);
        assertThat(session.exchange().returnedProperty().get().reading().safe()).isEmpty();
        interact(() -> session.exchange().leave());

        // One is cut off in the middle, and one belongs elsewhere: both are said and change nothing.
        Path damaged = folder.resolve("damaged.docx");
        Files.write(damaged, new byte[] {'P', 'K', 3, 4, 0, 0});
        bringBack(damaged);
        waitUntil(() -> session.intakes().property().get() != null);
        assertThat(session.intakes().property().get().arrivals().get(0).problem())
                .contains("damaged.docx");
        interact(() -> session.intakes().leave());
        bringBack(copyOfAnotherLane());
        waitUntil(() -> session.intakes().property().get() != null);
        assertThat(session.intakes().property().get().arrivals().get(0).problem())
                .contains("trip");
    }

    private Path copyOfAnotherLane() throws Exception {
        try (Lane other = Lane.create(folder.resolve("winter"), "Winter", FormatRegistry.ofInstalled(), DAY)) {
            Track track = other.trackStore().takeIn(file("delta"), FileOptions.NONE, Progress.NONE);
            return new CopyExport(other)
                    .send(
                            List.of(track.now()),
                            SendRequest.of("Ines Falk", Purpose.REVIEW, new SendRequest.Form("tsv")),
                            Progress.NONE)
                    .get(0)
                    .file();
        }
    }

    @Test
    void aReturnedTextIsPutIntoOtherWordsBeforeItIsAccepted() throws Exception {
        takeInThree();
        push(KeyCode.ALT, KeyCode.DIGIT3);
        interact(() -> lookup("#send-form").<SendRequest.Form>queryComboBox().setValue(new SendRequest.Form("tsv")));
        interact(
                () -> lookup("#send-person").<String>queryComboBox().getEditor().setText("Ines Falk"));
        press("send-out");
        waitUntil(() -> session.lane().trips().all().size() == 1 && idle());
        Trip trip = session.lane().trips().all().get(0);
        bringBack(answered(trip, "Zeile"));
        waitUntil(() -> !changes().getItems().isEmpty());

        interact(() -> changes().getSelectionModel().select(3));
        push(KeyCode.F2);
        write("!");
        push(KeyCode.ESCAPE);
        press("take-changes");
        waitUntil(() -> session.exchange().returnedProperty().get() == null && idle());

        assertThat(session.viewProperty().get()).isEqualTo(ViewId.EXCHANGE);
        assertThat(now().target(3).plainText()).isEqualTo("Zeile gamma Nummer 3!");
        assertThat(now().target(4).plainText()).isEqualTo("Zeile gamma Nummer 4");
    }
}
