package org.swaplane.desktop.text;

import java.util.Collection;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;

/** The small parts that every view is put together from, each with its place in the style sheet. */
public final class Controls {
    private Controls() {}

    /** Title of a view. */
    public static Label title(String key) {
        return whole(styled(new Label(Strings.text(key)), "view-title"));
    }

    /** Never cut off, whatever else has to give way. */
    public static <T extends Region> T whole(T node) {
        node.setMinWidth(Region.USE_PREF_SIZE);
        return node;
    }

    /** Width of the longest of these, in pixels of the ordinary font. */
    public static double widest(Collection<String> words) {
        return words.stream()
                .mapToDouble(word -> new Text(word).getLayoutBounds().getWidth())
                .max()
                .orElse(0);
    }

    /** Heading within a view. */
    public static Label heading(String key) {
        return styled(new Label(Strings.text(key)), "heading");
    }

    /** A quiet sentence that may wrap. */
    public static Label quiet(String text) {
        Label label = styled(new Label(text), "quiet");
        label.setWrapText(true);
        return label;
    }

    /** A button with its words from the bundle and an id for tests and styles. */
    public static Button button(String id, String key, Runnable action) {
        Button button = new Button(Strings.text(key));
        button.setId(id);
        button.setOnAction(event -> action.run());
        button.setMinWidth(Region.USE_PREF_SIZE);
        // By itself a button listens to the space bar only.
        button.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                button.fire();
                event.consume();
            }
        });
        return button;
    }

    /** The one obvious next step. */
    public static Button primary(String id, String key, Runnable action) {
        return styled(button(id, key, action), "accent");
    }

    /** A button whose tooltip names its key. */
    public static Button withKey(Button button, String keys) {
        button.setTooltip(new Tooltip(keys));
        return button;
    }

    /** A field for text with a prompt, so many letters wide. */
    public static TextField field(String id, String key, int columns) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(Strings.text(key));
        field.setAccessibleText(Strings.text(key));
        field.setPrefColumnCount(columns);
        // What is filled in shows no prompt any more.
        field.setTooltip(new Tooltip(Strings.text(key)));
        return field;
    }

    /** A button that takes little room. */
    public static Button small(String id, String key, Runnable action) {
        return styled(button(id, key, action), "small");
    }

    /** A row of nodes. */
    public static HBox row(Node... nodes) {
        return styled(new HBox(nodes), "row");
    }

    /** A row of nodes that goes on in a second one where the window is narrow. */
    public static FlowPane wrapped(Node... nodes) {
        return styled(new FlowPane(nodes), "wrapped-row");
    }

    /** A column of nodes. */
    public static VBox column(Node... nodes) {
        return styled(new VBox(nodes), "column");
    }

    /** Shows a node, or takes it and its room away. */
    public static void showIf(Node node, boolean visible) {
        node.setVisible(visible);
        node.setManaged(visible);
    }

    /** Takes all room that is left in a row. */
    public static Region spacer() {
        Region spacer = new Region();
        HBox.setHgrow(spacer, Priority.ALWAYS);
        return spacer;
    }

    /** Adds a style class. */
    public static <T extends Node> T styled(T node, String styleClass) {
        node.getStyleClass().add(styleClass);
        return node;
    }
}
