package org.swaplane.desktop.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.check.Finding;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.lane.SetAside;

/** Findings: groups on the left, the list in the middle, the two texts below. */
public final class ChecksView implements View {
    private static final String ALL = "all";
    private static final String ASIDE = "set-aside";

    private static final double GROUPS = 230;

    private final LaneSession session;
    private final ListView<String> groups = new ListView<>();
    private final ListView<Finding> findings = new ListView<>();
    private final ListView<SetAside> aside = new ListView<>();
    private final ContentFlow source = new ContentFlow();
    private final ContentFlow target = new ContentFlow();
    private final ContentFlow suggestion = new ContentFlow();
    private final VBox suggested = Parts.styled(
            new VBox(Parts.styled(new Label(Strings.say("checks.suggestion")), "caption"), suggestion), "column-tight");
    private final TextField reason = new TextField();
    private final Button fix;
    private final Button setAside;
    private final Button revoke;
    private final Button open;
    private final VBox texts;
    private final VBox node;
    private Map<String, Long> counts = Map.of();

    public ChecksView(LaneSession session) {
        this.session = session;
        this.fix = Parts.withKey(Parts.primary("apply-fix", "checks.fix", this::fix), "Alt+F");
        this.setAside = Parts.button("set-aside", "checks.set-aside", this::setAside);
        this.revoke = Parts.button("revoke", "checks.revoke", this::revoke);
        this.open = Parts.button("open-in-review", "checks.open", this::openInReview);
        groups.setId("finding-groups");
        groups.setCellFactory(list -> new GroupCell());
        groups.setPrefWidth(GROUPS);
        groups.setMinWidth(GROUPS);
        groups.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showGroup());
        findings.setId("findings");
        findings.setCellFactory(list -> new FindingCell());
        findings.setPlaceholder(Parts.quiet(Strings.say("checks.none")));
        findings.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showFinding());
        aside.setId("findings-aside");
        aside.setCellFactory(list -> new AsideCell());
        aside.setPlaceholder(Parts.quiet(Strings.say("checks.none-aside")));
        reason.setId("aside-reason");
        reason.setPromptText(Strings.say("checks.reason"));
        reason.setPrefWidth(320);
        reason.setOnAction(event -> setAside());
        HBox.setHgrow(findings, Priority.ALWAYS);
        HBox.setHgrow(aside, Priority.ALWAYS);
        HBox lists = Parts.styled(new HBox(groups, findings, aside), "row");
        VBox.setVgrow(lists, Priority.ALWAYS);
        texts = texts();
        node = Parts.styled(
                new VBox(Parts.row(Parts.title("view.checks"), Parts.spacer(), revoke), lists, texts), "view");
    }

    private VBox texts() {
        VBox left = Parts.styled(
                new VBox(Parts.styled(new Label(Strings.say("pairing.source")), "caption"), source), "column-tight");
        VBox right = Parts.styled(
                new VBox(Parts.styled(new Label(Strings.say("pairing.target")), "caption"), target, suggested),
                "column-tight");
        left.setPrefWidth(100);
        right.setPrefWidth(100);
        HBox.setHgrow(left, Priority.ALWAYS);
        HBox.setHgrow(right, Priority.ALWAYS);
        HBox both = Parts.styled(new HBox(left, right), "finding-texts");
        both.setMinHeight(112);
        return Parts.styled(new VBox(both, Parts.row(fix, open, Parts.spacer(), reason, setAside)), "card");
    }

    /** Adds what the keys do here to the table. */
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get() == ViewId.CHECKS && session.track() != null;
        commands.add("fix-finding", "Alt+F", here, this::fix);
        commands.add("next-finding", "Alt+Down", here, () -> move(1));
        commands.add("previous-finding", "Alt+Up", here, () -> move(-1));
        commands.add("aside-finding", "Alt+A", here, reason::requestFocus);
        commands.add("open-finding", "Alt+Enter", here, this::openInReview);
    }

    private void move(int by) {
        int at = findings.getSelectionModel().getSelectedIndex() + by;
        if (at >= 0 && at < findings.getItems().size()) {
            findings.getSelectionModel().select(at);
            findings.scrollTo(at);
        }
    }

    private Finding chosen() {
        return findings.getSelectionModel().getSelectedItem();
    }

    private void fix() {
        if (chosen() != null && chosen().suggestion().isPresent()) {
            session.editing().fix(chosen());
        }
    }

    private void setAside() {
        if (chosen() == null) {
            return;
        }
        if (reason.getText().isBlank()) {
            reason.requestFocus();
            return;
        }
        session.setAside(chosen(), reason.getText().strip());
        reason.clear();
        findings.requestFocus();
    }

    private void revoke() {
        SetAside one = aside.getSelectionModel().getSelectedItem();
        if (one != null) {
            session.revoke(one.identity());
        }
    }

    private void openInReview() {
        if (chosen() != null) {
            session.inHandProperty().set(chosen().segment());
            session.viewProperty().set(ViewId.REVIEW);
        }
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        findings.requestFocus();
    }

    @Override
    public void refresh() {
        List<Finding> open = session.openFindings();
        counts = open.stream().collect(Collectors.groupingBy(Finding::check, TreeMap::new, Collectors.counting()));
        String chosenGroup = groups.getSelectionModel().getSelectedItem();
        List<String> names = new ArrayList<>(List.of(ALL));
        names.addAll(counts.keySet());
        names.add(ASIDE);
        if (!names.equals(groups.getItems())) {
            groups.getItems().setAll(names);
            groups.getSelectionModel().select(names.contains(chosenGroup) ? chosenGroup : ALL);
        }
        groups.refresh();
        showGroup();
    }

    private void showGroup() {
        String group = groups.getSelectionModel().getSelectedItem();
        boolean isAside = ASIDE.equals(group);
        findings.setVisible(!isAside);
        findings.setManaged(!isAside);
        aside.setVisible(isAside);
        aside.setManaged(isAside);
        texts.setVisible(!isAside);
        texts.setManaged(!isAside);
        revoke.setVisible(isAside);
        if (session.track() == null) {
            return;
        }
        aside.getItems().setAll(session.lane().findings().all(session.track()));
        int at = Math.max(0, findings.getSelectionModel().getSelectedIndex());
        List<Finding> shown = session.openFindings().stream()
                .filter(finding ->
                        group == null || ALL.equals(group) || finding.check().equals(group))
                .toList();
        if (!shown.equals(findings.getItems())) {
            findings.getItems().setAll(shown);
            findings.getSelectionModel().select(Math.min(at, shown.size() - 1));
        }
        showFinding();
    }

    private void showFinding() {
        Finding finding = chosen();
        fix.setDisable(finding == null || finding.suggestion().isEmpty());
        open.setDisable(finding == null);
        setAside.setDisable(finding == null);
        reason.setDisable(finding == null);
        suggested.setVisible(finding != null && finding.suggestion().isPresent());
        if (finding == null) {
            source.show("", List.of());
            target.show("", List.of());
            return;
        }
        var content = session.track().segment(finding.segment()).source();
        TagNumbers numbers = TagNumbers.of(content);
        TextLanguage.of(
                        session.sourceLanguage(finding.segment()),
                        session.directions(finding.segment()).source())
                .apply(source);
        TextLanguage.of(
                        session.targetLanguage(finding.segment()),
                        session.directions(finding.segment()).target())
                .apply(target);
        TextLanguage.of(
                        session.targetLanguage(finding.segment()),
                        session.directions(finding.segment()).target())
                .apply(suggestion);
        source.show(content, numbers, finding.source());
        target.show(session.track().target(finding.segment()), numbers, finding.target());
        finding.suggestion().ifPresent(fixed -> suggestion.show(fixed, numbers, List.of()));
    }

    private final class GroupCell extends ListCell<String> {
        @Override
        protected void updateItem(String group, boolean empty) {
            super.updateItem(group, empty);
            setWrapText(true);
            setPrefWidth(GROUPS - 24);
            if (empty) {
                setText("");
                return;
            }
            long count =
                    switch (group) {
                        case ALL ->
                            counts.values().stream().mapToLong(Long::longValue).sum();
                        case ASIDE ->
                            session.track() == null
                                    ? 0
                                    : session.lane()
                                            .findings()
                                            .all(session.track())
                                            .size();
                        default -> counts.getOrDefault(group, 0L);
                    };
            setText(Strings.say("check." + group) + "  " + count);
        }
    }

    private final class FindingCell extends ListCell<Finding> {
        private final Label number = Parts.styled(new Label(), "row-number");
        private final Label message = new Label();
        private final Label text = Parts.styled(new Label(), "quiet");
        private final HBox line = new HBox(8, number, message, text);

        FindingCell() {
            number.setMinWidth(44);
            message.setMinWidth(USE_PREF_SIZE);
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(Finding finding, boolean empty) {
            super.updateItem(finding, empty);
            setGraphic(empty ? null : line);
            if (!empty) {
                number.setText(String.valueOf(finding.segment() + 1));
                message.setText(finding.message());
                text.setText(session.track()
                        .segment(finding.segment())
                        .source()
                        .plainText()
                        .replace('\n', ' '));
            }
        }
    }

    private static final class AsideCell extends ListCell<SetAside> {
        private final Label message = new Label();
        private final Label why = Parts.quiet("");
        private final VBox lines = Parts.styled(new VBox(message, why), "column-tight");

        @Override
        protected void updateItem(SetAside one, boolean empty) {
            super.updateItem(one, empty);
            setGraphic(empty ? null : lines);
            if (!empty) {
                message.setText(one.segment() + 1 + "   " + one.message());
                why.setText(Strings.say("checks.aside-because", one.reason(), one.who()));
            }
        }
    }
}
