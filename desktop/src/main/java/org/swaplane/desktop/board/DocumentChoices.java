package org.swaplane.desktop.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.DocumentOptions;
import org.swaplane.intake.Arrival;

/** How one of the files that wait is read, and as what. */
final class DocumentChoices extends VBox {
    private static final Map<String, Arrival.Role> KEPT =
            Map.of("terms", Arrival.Role.TERMS, "reference", Arrival.Role.REFERENCE, "memory", Arrival.Role.MEMORY);

    private final LaneSession session;
    private final ToggleButton more = new ToggleButton(Strings.text("document.more"));
    private final ComboBox<String> readAs;
    private final DocumentForm form = new DocumentForm();
    private Arrival shown;

    DocumentChoices(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        List<String> formats = new ArrayList<>(List.of(""));
        formats.addAll(session.lane().formats().ids());
        KEPT.keySet().stream().sorted().forEach(formats::add);
        readAs = Choice.of("document-format", formats, DocumentChoices::formatName);
        more.setId("document-more");
        VBox all = Controls.column(
                Controls.row(new Label(Strings.text("document.read-as")), readAs),
                form,
                Controls.row(Controls.button("read-again", "document.read-again", this::readAgain)));
        Controls.showIf(all, false);
        more.selectedProperty().addListener((property, before, open) -> Controls.showIf(all, open));
        getChildren().addAll(Controls.row(more), all);
    }

    private static String formatName(String id) {
        return id.isEmpty()
                ? Strings.text("document.as-found")
                : KEPT.containsKey(id) ? Strings.text("role." + id) : id;
    }

    /** Shows how a file was read; a returned copy and a picture are what they are. */
    void show(Arrival arrival) {
        boolean correctable = arrival.role() != Arrival.Role.RETURNED && arrival.role() != Arrival.Role.PICTURE;
        Controls.showIf(this, correctable);
        boolean unreadable = arrival.role() == Arrival.Role.UNREADABLE;
        if (shown == null || !shown.source().equals(arrival.source())) {
            more.setSelected(unreadable);
        }
        shown = arrival;
        String format = arrival.file().map(file -> file.document().format()).orElse("");
        DocumentOptions options = arrival.options().document();
        readAs.setValue(KEPT.entrySet().stream()
                .filter(each -> each.getValue() == arrival.role())
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(options.format()));
        form.show(
                format,
                options,
                arrival.file().map(file -> file.document().segments()).orElse(List.of()));
    }

    private void readAgain() {
        if (KEPT.containsKey(readAs.getValue())) {
            session.intakes().keep(shown, KEPT.get(readAs.getValue()));
            return;
        }
        DocumentOptions options = form.options().withFormat(readAs.getValue());
        Arrival meant = shown;
        session.intakes().readAgain(each -> each == meant, how -> how.with(options));
    }
}
