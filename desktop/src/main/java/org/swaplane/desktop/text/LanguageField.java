package org.swaplane.desktop.text;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Bounds;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.stage.Popup;

/** A field for a language: what is typed is looked for in names and codes, those that were used last come first. */
public final class LanguageField extends TextField {
    private static final double ROW = 28;
    private static final int MOST = 10;

    private final List<String> last;
    private final ListView<String> found = new ListView<>();
    private final Popup popup = new Popup();
    private Consumer<String> chosen = code -> {};
    private boolean setting;

    /** {@code last} are the codes that were chosen last, last first. */
    public LanguageField(String id, List<String> last) {
        this.last = List.copyOf(last);
        setId(id);
        setPrefColumnCount(16);
        setPromptText(Strings.text("language.prompt"));
        setAccessibleText(Strings.text("language.prompt"));
        found.setId(id + "-found");
        found.setFixedCellSize(ROW);
        found.setFocusTraversable(false);
        found.setCellFactory(list -> new NameCell());
        found.setOnMouseClicked(event -> choose());
        popup.getContent().add(found);
        popup.setAutoHide(true);
        textProperty().addListener((property, before, now) -> {
            if (!setting && now.isBlank()) {
                popup.hide();
            } else if (!setting) {
                offer(now);
            }
        });
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        focusedProperty().addListener((property, before, focused) -> {
            if (!focused) {
                confirm();
            }
        });
    }

    /** Told the code whenever a language is confirmed. */
    public void onChosen(Consumer<String> listener) {
        chosen = listener;
    }

    /** Shows a language by its name and code. */
    public void setCode(String code) {
        setting = true;
        setText(LanguageNames.withCode(code));
        positionCaret(getText().length());
        setting = false;
        popup.hide();
    }

    /** The code that is meant by what stands here; what is no known language is given back as it was typed. */
    public String code() {
        String typed = getText().strip();
        int open = typed.lastIndexOf('(');
        if (open >= 0 && typed.endsWith(")")) {
            return typed.substring(open + 1, typed.length() - 1);
        }
        Optional<String> known =
                LanguageNames.codes().stream().filter(typed::equalsIgnoreCase).findFirst();
        if (typed.isEmpty() || known.isPresent()) {
            return known.orElse(typed);
        }
        List<String> matching = LanguageNames.matching(typed, last, 2);
        return matching.size() == 1 ? matching.get(0) : typed;
    }

    /** The code, if anything stands here. */
    public Optional<String> chosenCode() {
        return Optional.of(code()).filter(code -> !code.isEmpty());
    }

    private void pressed(KeyEvent event) {
        switch (event.getCode()) {
            case DOWN, UP -> {
                if (popup.isShowing()) {
                    int step = event.getCode() == javafx.scene.input.KeyCode.DOWN ? 1 : -1;
                    int at = found.getSelectionModel().getSelectedIndex() + step;
                    found.getSelectionModel()
                            .select(Math.max(0, Math.min(found.getItems().size() - 1, at)));
                } else {
                    offer(getText());
                }
                event.consume();
            }
            case ENTER -> {
                if (popup.isShowing()) {
                    choose();
                } else {
                    confirm();
                }
                event.consume();
            }
            case ESCAPE -> {
                if (popup.isShowing()) {
                    popup.hide();
                    event.consume();
                }
            }
            default -> {}
        }
    }

    private void choose() {
        String code = found.getSelectionModel().getSelectedItem();
        if (code != null) {
            setCode(code);
            chosen.accept(code);
        }
    }

    private void confirm() {
        popup.hide();
        String code = code();
        if (LanguageNames.codes().contains(code)) {
            setCode(code);
        }
        chosen.accept(code);
    }

    private void offer(String typed) {
        boolean whole = typed.endsWith(")");
        List<String> codes = LanguageNames.matching(whole ? "" : typed.strip(), last, MOST);
        found.getItems().setAll(codes);
        found.getSelectionModel().selectFirst();
        if (codes.isEmpty() || !isFocused() || getScene() == null) {
            popup.hide();
            return;
        }
        found.setPrefSize(Math.max(260, getWidth()), codes.size() * ROW + 4);
        if (!popup.isShowing()) {
            Bounds at = localToScreen(getBoundsInLocal());
            popup.show(this, at.getMinX(), at.getMaxY());
        }
    }

    private static final class NameCell extends ListCell<String> {
        @Override
        protected void updateItem(String code, boolean empty) {
            super.updateItem(code, empty);
            setText(empty || code == null ? null : LanguageNames.withCode(code));
        }
    }
}
