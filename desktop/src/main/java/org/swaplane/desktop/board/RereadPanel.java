package org.swaplane.desktop.board;

import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Segment;
import org.swaplane.lane.Track;
import org.swaplane.lane.VersionUpdate;

/** Changes how a document of the lane is read, and says before what would be lost by it. */
final class RereadPanel extends VBox {
    /** So many translations that would be lost are shown; their count says the rest. */
    private static final int MOST_SHOWN = 5;

    private final LaneSession session;
    private final DocumentForm form = new DocumentForm();
    private final Label outcome = Controls.styled(new Label(), "wrapped");
    private final Button take;
    private final Track track;

    RereadPanel(LaneSession session, Track track, Runnable close) {
        this.session = session;
        this.track = track;
        getStyleClass().add("column");
        setId("reread-panel");
        outcome.setId("reread-outcome");
        outcome.setWrapText(true);
        take = Controls.primary("reread-take", "document.take", () -> {
            session.sourceUpdates().take(VersionUpdate.Choices.DEFAULT);
            close.run();
        });
        Controls.showIf(take, false);
        getChildren()
                .addAll(
                        Controls.styled(new Label(Strings.text("document.how", track.name())), "heading"),
                        form,
                        Controls.row(
                                Controls.button("reread-look", "document.look", this::look),
                                take,
                                Controls.button("reread-close", "document.close", close)),
                        outcome);
        form.show(
                track.summary().format(),
                session.sourceUpdates().options(track),
                track.loaded().map(now -> now.document().segments()).orElse(List.of()));
        session.sourceUpdates().previewProperty().addListener((property, before, now) -> show(now));
    }

    private void look() {
        session.sourceUpdates().look(track, form.options());
    }

    private void show(VersionUpdate.Preview preview) {
        boolean ours = preview != null && preview.track() == track;
        Controls.showIf(take, ours && !preview.alignment().isSame());
        if (!ours) {
            outcome.setText("");
            return;
        }
        if (preview.alignment().isSame()) {
            outcome.setText(Strings.text("document.same"));
            return;
        }
        List<Integer> lost = preview.lost();
        String some = lost.stream()
                .limit(MOST_SHOWN)
                .map(index -> index + 1 + ": " + text(preview, index))
                .collect(Collectors.joining("\n"));
        outcome.setText(Strings.text("document.outcome", preview.segments().size(), lost.size())
                + (lost.isEmpty() ? "" : "\n" + some));
    }

    private static String text(VersionUpdate.Preview preview, int index) {
        Segment segment = preview.before().segment(index);
        return segment.source().plainText() + " → "
                + preview.before().target(index).plainText();
    }
}
