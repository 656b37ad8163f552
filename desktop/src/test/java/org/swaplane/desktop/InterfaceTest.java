package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.TreeTableView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import org.junit.jupiter.api.Test;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Strings;

/** What holds for every control of every view that can have the keyboard: it has a name for those who cannot see it. */
class InterfaceTest extends LaneWindow {
    private List<Node> shown() {
        List<Node> nodes = new ArrayList<>();
        collect(listWindows().get(0).getScene().getRoot(), nodes);
        return nodes;
    }

    /** What is in a list or a table is data, which may be cut off and shown in full elsewhere. */
    private static void collect(Node node, List<Node> nodes) {
        if (!node.isVisible()) {
            return;
        }
        nodes.add(node);
        boolean data = node instanceof ListView || node instanceof TableView || node instanceof TreeTableView;
        if (node instanceof Parent parent && !data) {
            parent.getChildrenUnmodifiable().forEach(child -> collect(child, nodes));
        }
    }

    private static boolean isNamed(Node node) {
        Stream<String> names = Stream.of(
                node.getAccessibleText(),
                node instanceof Labeled labeled ? labeled.getText() : null,
                node instanceof TextInputControl field ? field.getPromptText() : null,
                node instanceof ComboBox<?> box && box.getValue() != null
                        ? box.getValue().toString()
                        : null);
        return names.anyMatch(name -> name != null && !name.isBlank());
    }

    private static boolean isControl(Node node) {
        return node.isFocusTraversable()
                && !node.isDisabled()
                && (node instanceof Labeled || node instanceof TextInputControl || node instanceof ComboBox);
    }

    @Test
    void everyControlThatCanHaveTheKeyboardHasAName() throws Exception {
        takeIn();
        for (ViewDescriptor view : Views.ALL) {
            interact(() -> session.viewProperty().set(view.id()));
            settle();

            assertThat(shown().stream().filter(InterfaceTest::isControl).filter(node -> !isNamed(node)))
                    .as(view.id().name())
                    .isEmpty();
        }
    }

    @Test
    void noKeyDoesTwoThingsInOneView() {
        push(KeyCode.F1);
        List<GridPane> groups = List.copyOf(lookup(".key-list").queryAllAs(GridPane.class));
        List<String> everywhere = keys(groups.get(0));

        assertThat(everywhere).doesNotHaveDuplicates();
        assertThat(groups).hasSizeGreaterThan(3).allSatisfy(group -> assertThat(keys(group))
                .doesNotHaveDuplicates());
        groups.subList(1, groups.size())
                .forEach(group -> assertThat(keys(group)).doesNotContainAnyElementsOf(everywhere));
    }

    private static List<String> keys(GridPane group) {
        return group.getChildren().stream()
                .filter(Button.class::isInstance)
                .map(button -> ((Button) button).getText())
                .filter(key -> !key.equals(Strings.text("keys.none")))
                .toList();
    }

    @Test
    void aKeyIsChangedByPressingItUnlessItBelongsToAnother() {
        push(KeyCode.F1);

        change("lock", KeyCode.T);
        assertThat(lookup("#keys-said").queryLabeled().getText()).contains("is not free");
        change("lock", KeyCode.F9);
        assertThat(lookup("#keys-lock").queryButton().getText()).contains("Alt+F9");
        assertThat(session.person().keys("lock")).contains("Alt+F9");
    }

    private void change(String command, KeyCode code) {
        interact(() -> lookup("#keys-" + command).queryButton().fire());
        push(KeyCode.ALT, code);
    }
}
