package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Locale;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Strings;

/** The window in German, whose words are longer: no button is cut off at 1280 by 800, nor outside a window of 1024 by 700. */
class GermanInterfaceTest extends LaneWindow {
    @Override
    public void start(Stage stage) throws IOException {
        Strings.choose(Locale.GERMAN);
        super.start(stage);
    }

    @AfterAll
    static void speakEnglishAgain() {
        Strings.choose(Locale.ENGLISH);
    }

    @Test
    void noButtonIsCutOff() throws Exception {
        takeIn();
        for (ViewDescriptor view : Views.ALL) {
            interact(() -> session.viewProperty().set(view.id()));
            settle();

            assertThat(lookup(node -> node instanceof ButtonBase && isShown(node)).queryAllAs(Labeled.class).stream()
                            .filter(GermanInterfaceTest::isCutOff)
                            .map(Labeled::getText))
                    .as(view.id().name())
                    .isEmpty();
        }
    }

    @Test
    void everythingFitsIntoASmallWindow() throws Exception {
        takeIn();
        Stage window = (Stage) listWindows().get(0);
        interact(() -> {
            window.setWidth(1024);
            window.setHeight(700);
        });
        for (ViewDescriptor view : Views.ALL) {
            interact(() -> session.viewProperty().set(view.id()));
            settle();

            assertThat(lookup(node -> node instanceof ButtonBase && isShown(node)).queryAllAs(Labeled.class).stream()
                            .filter(button -> {
                                Bounds place = button.localToScene(button.getBoundsInLocal());
                                return place.getMinX() < -1
                                        || place.getMaxX() > window.getScene().getWidth() + 1;
                            })
                            .map(Labeled::getText))
                    .as(view.id().name())
                    .isEmpty();
        }
    }

    private static boolean isShown(Node node) {
        return node == null || node.isVisible() && isShown(node.getParent());
    }

    private static boolean isCutOff(Labeled label) {
        return label.getText() != null
                && label.lookupAll(".text").stream()
                        .filter(Text.class::isInstance)
                        .map(Text.class::cast)
                        .anyMatch(text -> text.getText().endsWith("...")
                                && !label.getText().endsWith("..."));
    }
}
