package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.IntStream;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.document.State;
import org.swaplane.lane.ReferenceHit;
import org.swaplane.memory.MemoryQuery;
import org.swaplane.memory.WordAnalysis;

/** What was translated before is found, taken and filled in, and what is reviewed is remembered. */
class MemoryJourneyTest extends LaneWindow {
    private Path memory() throws Exception {
        return Files.writeString(
                folder.resolve("client.tmx"),
                "<tmx version=\"1.4\"><header srclang=\"en-GB\"/><body>"
                        + unit(
                                "The afternoon crossing departs at 13:30 from pier 2.",
                                "Nachmittags geht es um 13:30 Uhr von Anleger 2.")
                        + unit("Winter timetable", "Winterfahrplan")
                        + "</body></tmx>");
    }

    private static String unit(String source, String target) {
        return "<tu><tuv xml:lang=\"en-GB\"><seg>" + source + "</seg></tuv><tuv xml:lang=\"de-DE\"><seg>" + target
                + "</seg></tuv></tu>";
    }

    private int segment(String source) {
        return IntStream.range(0, now().size())
                .filter(i -> now().segment(i).source().plainText().startsWith(source))
                .findFirst()
                .orElseThrow();
    }

    private void addMemory() throws Exception {
        takeIn();
        Path tmx = memory();
        interact(() -> {
            picked.clear();
            picked.add(tmx);
            session.viewProperty().set(ViewId.REFERENCES);
        });
        press("memory-import");
        ListView<?> memories = lookup("#memories").queryListView();
        waitUntil(() -> memories.getItems().size() == 2 && idle());
    }

    private void goTo(int segment) {
        interact(() -> {
            session.viewProperty().set(ViewId.REVIEW);
            session.currentProperty().set(segment);
        });
        settle();
    }

    @Test
    void aMatchIsTakenByItsKeyWithTheNumbersOfTheSegment() throws Exception {
        addMemory();
        int afternoon = segment("The afternoon");
        goTo(afternoon);
        waitUntil(() -> lookup("#take-match-1").tryQuery().isPresent());

        push(KeyCode.ALT, KeyCode.SHIFT, KeyCode.DIGIT1);

        assertThat(now().target(afternoon).plainText()).isEqualTo("Nachmittags geht es um 14:05 Uhr von Anleger 3.");
        push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().target(afternoon).plainText()).contains("15:04");
    }

    @Test
    void aFileIsFilledAsThePreviewSaidAndThatIsTakenBack() throws Exception {
        addMemory();
        int winter = segment("Winter timetable");
        press("fill-preview");
        waitUntil(() -> session.memories().planProperty().get() != null);
        assertThat(lookup("#fill-outcome").queryAs(Labeled.class).getText()).contains("One segment", "1 exact");
        assertThat(now().target(winter).isEmpty()).isTrue();

        press("fill");
        waitUntil(() -> !now().target(winter).isEmpty() && idle());

        assertThat(now().target(winter).plainText()).isEqualTo("Winterfahrplan");
        assertThat(now().state(winter)).isEqualTo(State.TRANSLATED);
        interact(() -> session.editing().undo());
        settle();
        assertThat(now().target(winter).isEmpty()).isTrue();
    }

    @Test
    void whatIsReviewedIsFoundAndWhatTheWordsAreIsCounted() throws Exception {
        takeIn();
        goTo(segment("The first ferry"));
        push(KeyCode.CONTROL, KeyCode.ENTER);

        interact(() -> {
            session.viewProperty().set(ViewId.REFERENCES);
            lookup("#find-words").queryAs(TextField.class).setText("ferry first");
        });
        ListView<ReferenceHit> found = lookup("#found-units").queryListView();
        waitUntil(() -> {
            interact(() -> lookup("#find").queryButton().fire());
            settle();
            return idle() && !found.getItems().isEmpty();
        });
        assertThat(List.copyOf(found.getItems()))
                .extracting(hit -> hit.unit().source().plainText())
                .containsExactly("The first ferry leaves Gullwick at 06:40.");

        TableView<?> words = lookup("#analysis").queryTableView();
        press("analyze-language");
        waitUntil(() -> words.getItems().size() == 2);
    }

    @Test
    void unitsOfAMemoryAreChangedAndThatIsUndone() throws Exception {
        addMemory();
        ListView<ReferenceHit> found = lookup("#found-units").queryListView();
        interact(() -> {
            lookup("#find-more").queryAs(ToggleButton.class).setSelected(true);
            lookup("#find-words").queryAs(TextField.class).setText("Anleger");
            lookup("#find-side").queryAs(ComboBox.class).getSelectionModel().select(1);
        });
        waitUntil(() -> !found.getItems().isEmpty() && idle());
        int before = found.getItems().size();

        interact(() -> {
            found.getSelectionModel().selectAll();
            lookup("#replace-what").queryAs(TextField.class).setText("Anleger");
            lookup("#replace-by").queryAs(TextField.class).setText("Steg");
        });
        press("replace-units");
        waitUntil(() -> found.getItems().isEmpty() && idle());

        press("undo-units");
        waitUntil(() -> found.getItems().size() == before && idle());
    }

    @Test
    void twoDocumentsAreAlignedCorrectedByKeysAndRemembered() throws Exception {
        takeIn();
        Path source = Files.writeString(
                folder.resolve("guide.txt"), "Dogs travel free.\n\nThe deck is open.\n\nPlease wait here.\n");
        Path target = Files.writeString(
                folder.resolve("ratgeber.txt"),
                "Hunde fahren gratis.\n\nDas Deck ist offen.\n\nBitte warten Sie hier.\n");
        interact(() -> {
            picked.clear();
            picked.addAll(List.of(source, target));
            session.viewProperty().set(ViewId.REFERENCES);
        });
        push(KeyCode.ALT, KeyCode.L);
        ListView<?> pairs = lookup("#aligned-pairs").queryListView();
        press("choose-pair");
        waitUntil(() -> pairs.getItems().size() == 3 && idle());

        interact(() -> pairs.getSelectionModel().select(1));
        push(KeyCode.ALT, KeyCode.J);
        assertThat(pairs.getItems()).hasSize(2);
        push(KeyCode.ALT, KeyCode.S);
        assertThat(pairs.getItems()).hasSize(3);

        press("add-pairs");
        waitUntil(() -> pairs.getItems().isEmpty() && idle());
        List<ReferenceHit> known = new CopyOnWriteArrayList<>();
        interact(() -> session.library().find(MemoryQuery.ofWords("open deck", false), "", known::addAll));
        waitUntil(() -> !known.isEmpty());
        assertThat(known.get(0).unit().targetWritten()).isEqualTo("Das Deck ist offen.");
    }

    @Test
    void draftsNeedConsentCarryAMarkAndAreTakenOutTogether() throws Exception {
        takeIn();
        int winter = segment("Winter timetable");
        interact(() -> session.viewProperty().set(ViewId.REFERENCES));
        push(KeyCode.ALT, KeyCode.E);
        waitUntil(() -> idle()
                && !lookup("#drafts-standing").queryAs(Labeled.class).getText().isEmpty());
        assertThat(lookup("#draft-file").queryButton().isDisabled()).isTrue();

        interact(() -> lookup("#drafts-allowed").queryAs(CheckBox.class).fire());
        waitUntil(() -> idle() && !lookup("#draft-file").queryButton().isDisabled());
        press("draft-file");
        waitUntil(() -> now().value(winter).isDraft() && idle());
        assertThat(now().target(winter).plainText()).isEqualTo("Winter Fahrplan");
        assertThat(now().state(winter)).isEqualTo(State.INITIAL);

        goTo(winter);
        push(KeyCode.CONTROL, KeyCode.ENTER);
        settle();
        assertThat(now().value(winter).isDraft()).isFalse();
        interact(() -> session.viewProperty().set(ViewId.REFERENCES));
        waitUntil(() -> idle() && !lookup("#clear-drafts").queryButton().isDisabled());
        press("clear-drafts");
        waitUntil(() -> idle()
                && IntStream.range(0, now().size())
                        .noneMatch(i -> now().value(i).isDraft()));
        assertThat(now().target(winter).plainText()).isEqualTo("Winter Fahrplan");
    }

    @Test
    void aNumberOfTheAnalysisLeadsToItsSegments() throws Exception {
        addMemory();
        push(KeyCode.ALT, KeyCode.A);
        TableView<?> words = lookup("#analysis").queryTableView();
        waitUntil(() -> words.getItems().size() == 2 && idle());
        interact(() -> {
            words.requestFocus();
            selectBand(words, WordAnalysis.Band.EXACT);
        });
        push(KeyCode.ENTER);
        waitUntil(() -> session.viewProperty().get().equals(ViewId.REVIEW) && idle());

        assertThat(session.selectionProperty().get().keys())
                .containsExactly(now().segment(segment("Winter timetable")).key());
        assertThat(session.currentProperty().get()).isEqualTo(segment("Winter timetable"));
        push(KeyCode.ALT, KeyCode.DIGIT0);
        assertThat(session.selectionProperty().get()).isNull();
    }

    private static <T> void selectBand(TableView<T> table, WordAnalysis.Band band) {
        table.getColumns().stream()
                .filter(column -> column.getUserData() == band)
                .findFirst()
                .ifPresent(column -> table.getSelectionModel().clearAndSelect(0, column));
    }

    @Test
    void aFrequentWordBecomesATermAndIsTakenOutAgain() throws Exception {
        takeIn();
        interact(() -> session.viewProperty().set(ViewId.REFERENCES));
        settle();
        push(KeyCode.ALT, KeyCode.T);
        ComboBox<?> what = lookup("#terms-what").queryComboBox();
        TableView<?> terms = lookup("#listed-terms").queryTableView();
        interact(() -> what.getSelectionModel().select(1));
        waitUntil(() -> !terms.getItems().isEmpty() && idle());
        int before = terms.getItems().size();

        interact(() -> {
            terms.getSelectionModel().select(0);
            lookup("#term-targets").queryAs(TextField.class).setText("Fähre; Schiff");
        });
        press("save-listed-term");
        waitUntil(() -> terms.getItems().size() == before - 1 && idle());

        interact(() -> what.getSelectionModel().select(0));
        waitUntil(() -> terms.getItems().size() == 1 && idle());
        press("remove-term");
        waitUntil(() -> terms.getItems().isEmpty() && idle());
    }

    @Test
    void aTermThatIsAddedIsShownInsertedAndCheckedAtOnce() throws Exception {
        takeIn();
        int afternoon = segment("The afternoon");
        goTo(afternoon);
        long before = session.checking().open().stream()
                .filter(finding -> finding.check().equals("term"))
                .count();

        push(KeyCode.ALT, KeyCode.N);
        interact(() -> {
            lookup("#term-source").queryAs(TextField.class).setText("crossing");
            lookup("#term-target").queryAs(TextField.class).setText("Überfahrtszeit");
        });
        press("save-term");
        waitUntil(() -> idle()
                && session.checking().open().stream()
                                .filter(finding -> finding.check().equals("term"))
                                .count()
                        > before);

        interact(() -> session.currentProperty().set(0));
        goTo(afternoon);
        waitUntil(() -> lookup("Überfahrtszeit").tryQuery().isPresent() && idle());
        push(KeyCode.ALT, KeyCode.E);
        assertThat(now().target(afternoon).plainText()).endsWith("Überfahrtszeit");
        assertThat(Files.readString(folder.resolve("reference/terms.tbx"))).contains("<term>Überfahrtszeit</term>");
    }
}
