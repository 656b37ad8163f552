package org.swaplane.desktop.references;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import org.swaplane.content.Content;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Directions;
import org.swaplane.lane.ReferenceFiles;
import org.swaplane.lane.ReferenceHit;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.Provenance;

/** A unit that was found: source, target, and where it comes from. */
final class FoundCell extends ListCell<ReferenceHit> {
    private static final double GAP = 12;
    /** Length of a day, ISO 8601. */
    private static final int DAY = 10;

    private static final double FROM = 130;
    private static final double SCROLL_BAR = 30;

    private final GridPane row = new GridPane();
    private final ContentFlow source = new ContentFlow();
    private final ContentFlow target = new ContentFlow();
    private final Label from = Controls.quiet("");
    private final WordHits hits;

    FoundCell(ListView<ReferenceHit> list, WordHits hits) {
        this.hits = hits;
        row.setHgap(GAP);
        ColumnConstraints text = new ColumnConstraints();
        text.prefWidthProperty()
                .bind(list.widthProperty().subtract(FROM + SCROLL_BAR + 2 * GAP).divide(2));
        row.getColumnConstraints().setAll(text, text, new ColumnConstraints(FROM));
        row.addRow(0, source, target, from);
        for (Node each : List.of(source, target, from)) {
            GridPane.setValignment(each, VPos.TOP);
        }
    }

    @Override
    protected void updateItem(ReferenceHit hit, boolean empty) {
        super.updateItem(hit, empty);
        setGraphic(empty || hit == null ? null : row);
        if (!empty && hit != null) {
            MemoryUnit unit = hit.unit();
            show(source, unit.sourceLanguage(), unit.source(), unit);
            show(target, unit.targetLanguage(), unit.target(), unit);
            from.setText(from(hit));
            from.setMinHeight(Region.USE_PREF_SIZE);
        }
    }

    /** Where it is from, who changed it last and on which day. */
    private static String from(ReferenceHit hit) {
        MemoryUnit unit = hit.unit();
        Provenance known = unit.provenance();
        String who = known.changedBy().isEmpty() ? known.createdBy() : known.changedBy();
        String at = known.changed().isEmpty() ? known.created() : known.changed();
        String day = at.length() < DAY ? at : at.substring(0, DAY);
        String kind = hit.kind() == ReferenceHit.Kind.TERM ? Strings.text("references.term") : "";
        String role = hit.kind() == ReferenceHit.Kind.TERM || hit.role() == ReferenceFiles.Role.OTHER
                ? ""
                : ReferenceList.word(hit.role());
        String count = hit.count() > 1 ? Strings.text("references.count", hit.count()) : "";
        String not = known.properties().stream()
                .filter(each -> each.name().equals(ReferenceHit.FORBIDDEN))
                .map(each -> Strings.text("terms.not", each.text()))
                .collect(Collectors.joining());
        return Stream.of(kind, role, not, unit.origin(), who, day, count)
                .filter(each -> !each.isEmpty())
                .collect(Collectors.joining("\n"));
    }

    private void show(ContentFlow flow, String language, Content content, MemoryUnit unit) {
        TextLanguage.of(language, Directions.Direction.BY_LANGUAGE).apply(flow);
        flow.show(content, TagNumbers.of(unit.source()), List.of(), hits.in(content.plainText(), language));
    }
}
