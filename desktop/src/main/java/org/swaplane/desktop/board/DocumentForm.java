package org.swaplane.desktop.board;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Segment;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.Extra;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Selection;

/** How a document is read: which of its texts, with which placeholders and fonts, in which encoding. */
final class DocumentForm extends VBox {
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

    private final ComboBox<String> encoding;
    private final Map<Extra, CheckBox> extras = new EnumMap<>(Extra.class);
    private final FlowPane extrasRow = Controls.wrapped();
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
    private DocumentOptions shown = DocumentOptions.DEFAULT;

    DocumentForm() {
        getStyleClass().add("column");
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
        getChildren()
                .addAll(
                        Controls.row(new Label(Strings.text("document.encoding")), encoding),
                        extrasRow,
                        selectionPart,
                        itsPart,
                        placeholders,
                        fontsPart);
    }

    private static TextArea lines(String id) {
        TextArea area = Controls.styled(new TextArea(), "code");
        area.setId(id);
        area.setPrefRowCount(2);
        return area;
    }

    /** Shows how a file of a format is read; {@code segments} are those that it has now. An empty format is that of a file that cannot be read. */
    void show(String format, DocumentOptions options, List<Segment> segments) {
        shown = options;
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
        placeholders.show(options.placeholders(), segments);
        Controls.showIf(fontsPart, !format.isEmpty() && traits.markup().isPackage());
        fonts.setText(options.fonts().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(each -> each.getKey() + " = " + each.getValue())
                .collect(Collectors.joining("\n")));
    }

    /** The choices as they stand; what cannot be chosen here is as it was. */
    DocumentOptions options() {
        Set<Extra> wanted = extras.entrySet().stream()
                .filter(each -> each.getValue().isSelected())
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        return new DocumentOptions(
                shown.format(),
                encoding.getValue(),
                wanted,
                new Selection(selection.getText().lines().toList()),
                placeholders.rules(),
                fontTable(),
                itsRules.getText().strip(),
                shown.cuts());
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
