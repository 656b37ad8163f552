package org.swaplane.desktop.board;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.Extra;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Selection;
import org.swaplane.intake.Arrival;

/** How one of the files that wait is read: as what, in which encoding, which of its texts, with which placeholders and fonts. */
final class DocumentChoices extends VBox {
    private static final Map<String, Arrival.Role> KEPT =
            Map.of("terms", Arrival.Role.TERMS, "reference", Arrival.Role.REFERENCE);
    private static final List<String> ENCODINGS = List.of(
            "",
            "UTF-8",
            "UTF-16LE",
            "UTF-16BE",
            "windows-1250",
            "windows-1251",
            "windows-1252",
            "windows-1253",
            "windows-1254",
            "windows-1255",
            "windows-1256",
            "windows-1257",
            "ISO-8859-1",
            "ISO-8859-2",
            "ISO-8859-15",
            "KOI8-R",
            "Shift_JIS",
            "GB18030",
            "Big5",
            "EUC-KR");

    private final LaneSession session;
    private final ToggleButton more = new ToggleButton(Strings.text("document.more"));
    private final ComboBox<String> readAs;
    private final ComboBox<String> encoding;
    private final Map<Extra, CheckBox> extras = new EnumMap<>(Extra.class);
    private final FlowPane extrasRow = Controls.styled(new FlowPane(), "wrapped-row");
    private final TextArea selection = lines("document-selection");
    private final Label selectionHint = Controls.quiet("");
    private final TextArea fonts = lines("document-fonts");
    private final PlaceholderChoices placeholders = new PlaceholderChoices();
    private final VBox selectionPart =
            Controls.column(Controls.heading("document.selection"), selectionHint, selection);
    private final TextArea itsRules = lines("document-its-rules");
    private final VBox itsPart = Controls.column(
            Controls.heading("document.its-rules"), Controls.quiet(Strings.text("document.its-rules-hint")), itsRules);
    private final VBox fontsPart = Controls.column(
            Controls.heading("document.fonts"), Controls.quiet(Strings.text("document.fonts-hint")), fonts);
    private final VBox all;
    private Arrival shown;

    DocumentChoices(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        List<String> formats = new ArrayList<>(List.of(""));
        formats.addAll(session.lane().formats().ids());
        KEPT.keySet().stream().sorted().forEach(formats::add);
        readAs = Choice.of("document-format", formats, DocumentChoices::formatName);
        encoding = Choice.of(
                "document-encoding",
                ENCODINGS,
                name -> name.isEmpty() ? Strings.text("document.encoding-found") : name);
        for (Extra extra : Extra.values()) {
            CheckBox box = new CheckBox(Strings.text("extra." + extra.name().toLowerCase(Locale.ROOT)));
            box.setId("extra-" + extra.name().toLowerCase(Locale.ROOT));
            extras.put(extra, box);
            extrasRow.getChildren().add(box);
        }
        more.setId("document-more");
        Node corrected = Controls.row(
                new Label(Strings.text("document.read-as")),
                readAs,
                new Label(Strings.text("document.encoding")),
                encoding);
        all = Controls.column(
                corrected,
                extrasRow,
                selectionPart,
                itsPart,
                placeholders,
                fontsPart,
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

    private static TextArea lines(String id) {
        TextArea area = Controls.styled(new TextArea(), "code");
        area.setId(id);
        area.setPrefRowCount(2);
        return area;
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
        encoding.setValue(options.encoding());
        FormatTraits traits = FormatTraits.of(format);
        encoding.setDisable(!format.isEmpty() && traits.markup().isPackage());
        Set<Extra> possible = format.isEmpty() ? Set.of() : traits.extras();
        extras.forEach((extra, box) -> {
            Controls.showIf(box, possible.contains(extra));
            box.setSelected(options.extras().contains(extra));
        });
        Controls.showIf(extrasRow, !possible.isEmpty());
        Controls.showIf(selectionPart, !format.isEmpty() && traits.isSelectable());
        if (!format.isEmpty() && traits.isSelectable()) {
            selectionHint.setText(Strings.text("selection." + format));
        }
        selection.setText(String.join("\n", options.selection().patterns()));
        Controls.showIf(itsPart, format.equals("xml"));
        itsRules.setText(options.itsRules());
        Controls.showIf(placeholders, !format.isEmpty() && traits.hasPlaceholders());
        placeholders.show(options.placeholders(), arrival);
        Controls.showIf(fontsPart, !format.isEmpty() && traits.markup().isPackage());
        fonts.setText(options.fonts().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(each -> each.getKey() + " = " + each.getValue())
                .collect(Collectors.joining("\n")));
    }

    private void readAgain() {
        if (KEPT.containsKey(readAs.getValue())) {
            session.intakes().keep(shown, KEPT.get(readAs.getValue()));
            return;
        }
        DocumentOptions options = options();
        Arrival meant = shown;
        session.intakes().readAgain(each -> each == meant, how -> how.with(options));
    }

    private DocumentOptions options() {
        Set<Extra> wanted = extras.entrySet().stream()
                .filter(each -> each.getValue().isSelected())
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        return new DocumentOptions(
                readAs.getValue(),
                encoding.getValue(),
                wanted,
                new Selection(selection.getText().lines().toList()),
                placeholders.rules(),
                fontTable(),
                itsRules.getText().strip(),
                shown.options().document().cuts());
    }

    /** A line each, the font of the original before the equals sign. */
    private Map<String, String> fontTable() {
        Map<String, String> table = new LinkedHashMap<>();
        fonts.getText()
                .lines()
                .map(line -> line.split("=", 2))
                .filter(pair -> pair.length == 2)
                .forEach(pair -> table.put(pair[0].strip(), pair[1].strip()));
        return table;
    }
}
