package org.swaplane.desktop.references;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.Drafts;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Drafting;

/** Has the open segments of the file drafted by a service, once it was said that texts of this lane may go there. */
final class DraftForm extends VBox {
    private final LaneSession session;
    private final Label warning = Controls.quiet("");
    private final CheckBox allowed = new CheckBox();
    private final Label standing = Controls.quiet("");
    private final Label outcome = Controls.quiet("");
    private final Button draft;
    private final Button clear;
    private Drafts.Standing known;

    DraftForm(LaneSession session) {
        this.session = session;
        getStyleClass().add("card");
        setId("drafts");
        allowed.setId("drafts-allowed");
        allowed.setWrapText(true);
        allowed.setMinHeight(Region.USE_PREF_SIZE);
        allowed.setOnAction(event -> session.drafts().allow(allowed.isSelected(), this::refresh));
        outcome.setId("drafts-outcome");
        standing.setId("drafts-standing");
        draft = Controls.button("draft-file", "drafts.draft", this::draft);
        clear = Controls.button(
                "clear-drafts", "drafts.clear", () -> session.drafts().clear(this::refresh));
        getChildren()
                .addAll(
                        Controls.heading("drafts.title"),
                        warning,
                        allowed,
                        standing,
                        outcome,
                        Controls.wrapped(draft, clear));
        Controls.showIf(outcome, false);
        List.of(warning, standing, outcome).forEach(each -> each.setMinHeight(Region.USE_PREF_SIZE));
    }

    void refresh() {
        String address = session.drafts().address();
        boolean simulated = address.equals(Drafts.SIMULATED);
        warning.setText(simulated ? Strings.text("drafts.warning-simulated") : Strings.text("drafts.warning", address));
        allowed.setText(simulated ? Strings.text("drafts.allow-simulated") : Strings.text("drafts.allow", address));
        allowed.setSelected(session.drafts().isAllowed());
        allowed.setDisable(session.lane().isReadOnly());
        if (known != null && known.track() != session.track()) {
            known = null;
            Controls.showIf(outcome, false);
        }
        showKnown();
        if (session.hasSegments()) {
            session.drafts().standing(now -> {
                known = now;
                showKnown();
            });
        }
    }

    private void showKnown() {
        boolean writable = known != null && !session.lane().isReadOnly();
        draft.setDisable(!writable || known.open() == 0 || !session.drafts().isAllowed());
        clear.setDisable(!writable || known.origins().drafts().segments() == 0);
        standing.setText(known == null ? "" : words(known));
        Controls.showIf(standing, known != null);
    }

    private static String words(Drafts.Standing known) {
        String open = Strings.text("drafts.open", known.open(), known.words());
        String origins = known.origins().amounts().entrySet().stream()
                .map(each -> Strings.text(
                        "origin."
                                + each.getKey().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                        each.getValue().segments(),
                        each.getValue().words()))
                .collect(Collectors.joining("\n"));
        int drafts = known.origins().drafts().segments();
        String unread = drafts == 0 ? "" : "\n" + Strings.text("drafts.unread", drafts);
        return origins.isEmpty() ? open : open + "\n" + Strings.text("origin.title") + "\n" + origins + unread;
    }

    private void draft() {
        Controls.showIf(outcome, false);
        session.drafts().draft(this::show);
    }

    private void show(Drafting.Outcome done) {
        List<String> lines = new ArrayList<>();
        lines.add(Strings.text(done.cancelled() ? "drafts.cancelled" : "drafts.done", done.drafted()));
        if (done.failed() > 0) {
            lines.add(Strings.text("drafts.failed", done.failed(), done.problem()));
        }
        if (done.unusable() > 0) {
            lines.add(Strings.text("drafts.unusable", done.unusable()));
        }
        outcome.setText(String.join("\n", lines));
        Controls.showIf(outcome, true);
        draft.setText(Strings.text(done.failed() > 0 ? "drafts.again" : "drafts.draft", done.failed()));
        refresh();
    }
}
