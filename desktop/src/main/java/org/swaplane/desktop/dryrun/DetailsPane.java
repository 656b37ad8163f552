package org.swaplane.desktop.dryrun;

import java.io.ByteArrayInputStream;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.ProofStore;
import org.swaplane.proof.Proof;

/** The places that one proof points at, which a person looks at and ticks off with a reason. */
final class DetailsPane extends VBox {
    private static final String OF_PICTURES = "pictures";

    private final LaneSession session;
    private final Label message = Controls.styled(new Label(), "heading");
    private final Label explained = Controls.quiet("");
    private final ListView<Proof.Detail> details = new ListView<>();
    private final TextField reason = new TextField();
    private final Button tick = Controls.primary("tick-off", "dry-run.tick", this::tickOff);
    private final Button untick = Controls.button("untick", "dry-run.untick", this::untick);
    private final Button open = Controls.button("detail-in-review", "dry-run.open-in-review", this::openInReview);
    private final HBox quick;
    private final VBox ticking;
    private final Map<String, Image> pictures = new HashMap<>();
    private final Set<String> asked = new HashSet<>();
    private Proof proof;
    private ProofStore.Remembered dryRun;

    DetailsPane(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        message.setWrapText(true);
        details.setId("proof-details");
        details.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        details.setCellFactory(list -> new DetailCell(list, pictures, detail -> dryRun.tick(proof, detail)));
        details.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showButtons());
        VBox.setVgrow(details, Priority.ALWAYS);
        reason.setId("tick-reason");
        reason.setPromptText(Strings.text("dry-run.reason"));
        reason.textProperty().addListener((property, before, now) -> showButtons());
        reason.setOnAction(event -> tickOff());
        quick = Controls.row(
                Controls.button("no-text", "dry-run.no-text", () -> tickOff(Strings.text("dry-run.no-text"))),
                Controls.button("own-job", "dry-run.own-job", () -> tickOff(Strings.text("dry-run.own-job"))));
        HBox.setHgrow(reason, Priority.ALWAYS);
        ticking = Controls.column(Controls.row(reason, quick), Controls.row(tick, untick, open));
        getChildren().addAll(message, explained, details, ticking);
    }

    void show(Proof shown, ProofStore.Remembered of) {
        boolean same = proof != null && proof.equals(shown);
        proof = shown;
        dryRun = of;
        message.setText(shown.message());
        explained.setText(Strings.text("proof." + shown.id() + ".explained"));
        if (same) {
            details.refresh();
        } else {
            details.getItems().setAll(shown.details());
            details.getSelectionModel().selectFirst();
        }
        Controls.showIf(details, !shown.details().isEmpty());
        Controls.showIf(ticking, !shown.details().isEmpty());
        Controls.showIf(quick, shown.id().equals(OF_PICTURES));
        if (shown.id().equals(OF_PICTURES)) {
            loadPictures();
        }
        showButtons();
    }

    /** Each dry run's pictures are read once. */
    private void loadPictures() {
        Set<String> names = proof.details().stream()
                .map(Proof.Detail::where)
                .filter(name -> name.matches("(?:word|ppt|xl)/media/.*"))
                .filter(asked::add)
                .collect(Collectors.toSet());
        if (names.isEmpty()) {
            return;
        }
        session.dryRuns().readPictures(names, bytes -> {
            bytes.forEach((name, content) -> pictures.put(name, thumbnail(content)));
            details.refresh();
        });
    }

    private static Image thumbnail(byte[] content) {
        return new Image(new ByteArrayInputStream(content), DetailCell.THUMBNAIL, DetailCell.THUMBNAIL, true, true);
    }

    /** Another track has other pictures under the same names. */
    void forgetPictures() {
        pictures.clear();
        asked.clear();
    }

    private List<Proof.Detail> selected() {
        return List.copyOf(details.getSelectionModel().getSelectedItems());
    }

    private void showButtons() {
        List<Proof.Detail> selected = proof == null ? List.of() : selected();
        boolean ticked =
                selected.stream().anyMatch(each -> dryRun.tick(proof, each).isPresent());
        tick.setDisable(selected.isEmpty() || reason.getText().isBlank() || proof.verdict() == Proof.Verdict.FAIL);
        untick.setDisable(!ticked);
        open.setDisable(selected.size() != 1 || selected.get(0).segment() == Proof.Detail.NO_SEGMENT);
    }

    private void tickOff() {
        if (!tick.isDisabled()) {
            tickOff(reason.getText().strip());
        }
    }

    /** The next one that nobody looked at comes into hand. */
    private void tickOff(String why) {
        int next = details.getSelectionModel().getSelectedIndices().stream()
                        .mapToInt(Integer::intValue)
                        .max()
                        .orElse(-1)
                + 1;
        session.dryRuns().tickOff(proof, selected(), why);
        if (next < details.getItems().size()) {
            details.getSelectionModel().clearAndSelect(next);
            details.scrollTo(Math.max(0, next - 2));
        }
        reason.clear();
    }

    private void untick() {
        session.dryRuns().untick(proof, selected());
    }

    private void openInReview() {
        session.currentProperty().set(selected().get(0).segment());
        session.viewProperty().set(ViewId.REVIEW);
    }
}
