package org.swaplane.desktop.shell;

import java.util.List;
import java.util.Locale;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.collections.ListChangeListener;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.util.Duration;
import javafx.util.StringConverter;
import org.swaplane.desktop.session.Background;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.RunningTask;
import org.swaplane.desktop.session.WorkTime;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LanguageNames;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackCounts;

/** One line on top: lane, languages, progress by words, the running task with cancel, and the way to everything. */
final class Strip extends HBox {
    private final Label lane = Controls.styled(new Label(), "strip-lane");
    private final Label languages = Controls.styled(new Label(), "quiet");
    private final Label words = Controls.styled(new Label(), "quiet");
    private final ProgressBar reviewed = new ProgressBar(0);
    private final ComboBox<Track> track = new ComboBox<>();
    private final ComboBox<String> target = new ComboBox<>();
    private final LaneSession session;
    private boolean showing;
    /** How often it is looked whether somebody is still there. */
    private static final Duration LOOK = Duration.seconds(5);

    /** A track in the list is known by the name of its file. */
    private static final class TrackName extends StringConverter<Track> {
        @Override
        public String toString(Track track) {
            return track == null ? "" : track.name();
        }

        @Override
        public Track fromString(String name) {
            return null;
        }
    }

    private static final class LanguageName extends StringConverter<String> {
        @Override
        public String toString(String code) {
            return code == null ? "" : LanguageNames.withCode(code);
        }

        @Override
        public String fromString(String name) {
            return null;
        }
    }

    Strip(LaneSession session, AppCommand palette, CommandMenu menu) {
        this.session = session;
        getStyleClass().add("strip");
        List.of(lane, words).forEach(Controls::whole);
        track.setMinWidth(110);
        target.setMinWidth(84);
        reviewed.setMinWidth(24);
        reviewed.setPrefWidth(120);
        reviewed.setId("reviewed-progress");
        track.setId("strip-track");
        track.setAccessibleText(Strings.text("strip.track"));
        track.setFocusTraversable(false);
        track.setConverter(new TrackName());
        track.setOnAction(event -> chooseTrack());
        target.setId("strip-target");
        target.setAccessibleText(Strings.text("strip.target"));
        target.setFocusTraversable(false);
        target.setConverter(new LanguageName());
        target.setOnAction(event -> chooseTarget());
        getChildren()
                .addAll(lane, track, target, languages, reviewed, words, Controls.spacer(), task(session.background()));
        getChildren().add(timeButton());
        Button search =
                Controls.withKey(Controls.button("open-palette", "strip.palette", palette::run), palette.keyWords());
        search.setText(search.getText() + "   " + palette.keyWords());
        getChildren().addAll(Controls.styled(search, "flat"), menu);
        lane.setText(session.lane().name());
    }

    /** Says quietly whether time is running; pressed, it stops it or lets it go on. */
    private Button timeButton() {
        WorkTime time = session.workTime();
        Button button = Controls.styled(Controls.button("work-time", "time.running", time::togglePause), "flat");
        button.getStyleClass().add("work-time");
        button.setFocusTraversable(false);
        Timeline looking = new Timeline(new KeyFrame(LOOK, event -> time.look()));
        looking.setCycleCount(Animation.INDEFINITE);
        button.sceneProperty().addListener((property, before, now) -> {
            if (now == null) {
                looking.stop();
            } else {
                looking.play();
            }
        });
        Runnable show = () -> {
            WorkTime.Status status = time.statusProperty().get();
            button.setText(Strings.text("time." + status.name().toLowerCase(Locale.ROOT)));
            button.getTooltip()
                    .setText(Strings.text(status == WorkTime.Status.PAUSED ? "time.resume-tip" : "time.pause-tip"));
            Controls.showIf(button, status != WorkTime.Status.OFF);
        };
        button.setTooltip(new Tooltip());
        time.statusProperty().addListener((property, before, now) -> show.run());
        time.look();
        show.run();
        return button;
    }

    private static HBox task(Background background) {
        Label what = Controls.styled(new Label(), "quiet");
        ProgressBar bar = new ProgressBar();
        bar.setPrefWidth(90);
        background.tasks().addListener((ListChangeListener<RunningTask>) change -> showTasks(background, what, bar));
        HBox task = Controls.row(what, bar, Controls.button("cancel-task", "strip.cancel", background::cancel));
        task.visibleProperty().bind(background.busyProperty());
        task.managedProperty().bind(task.visibleProperty());
        return task;
    }

    /** The one that runs longest, and how many there are besides. */
    private static void showTasks(Background background, Label what, ProgressBar bar) {
        bar.progressProperty().unbind();
        if (background.tasks().isEmpty()) {
            what.setText("");
            bar.setProgress(-1);
            return;
        }
        RunningTask first = background.tasks().get(0);
        int others = background.tasks().size() - 1;
        what.setText(others == 0 ? first.words() : Strings.text("strip.tasks", first.words(), others));
        bar.progressProperty().bind(first.shareProperty());
    }

    private void chooseTrack() {
        Track chosen = track.getValue();
        if (!showing && chosen != null && chosen != session.track()) {
            session.choose(chosen);
        }
    }

    /** To the same document in the other language, else to the first one in it. */
    private void chooseTarget() {
        String code = target.getValue();
        Track before = session.track();
        if (showing || code == null || before == null || code.equals(target(before))) {
            return;
        }
        List<Track> there = session.lane().tracks().stream()
                .filter(each -> target(each).equals(code))
                .toList();
        there.stream()
                .filter(each -> each.sha256().equals(before.sha256()))
                .findFirst()
                .or(() -> there.stream().findFirst())
                .ifPresent(session::choose);
    }

    private static String target(Track track) {
        return track.summary().targetLanguage();
    }

    void show(Track chosen) {
        showing = true;
        List<String> targets = session.lane().tracks().stream()
                .map(Strip::target)
                .distinct()
                .sorted()
                .toList();
        if (!target.getItems().equals(targets)) {
            target.getItems().setAll(targets);
        }
        target.setValue(chosen == null ? null : target(chosen));
        target.setVisible(targets.size() > 1);
        target.setManaged(target.isVisible());
        // Where the language can be chosen, it is read there.
        Controls.showIf(languages, !target.isVisible());
        List<Track> listed = session.lane().tracks().stream()
                .filter(each -> chosen == null || target(each).equals(target(chosen)))
                .toList();
        if (!track.getItems().equals(listed)) {
            track.getItems().setAll(listed);
        }
        track.setValue(chosen);
        showing = false;
        track.setVisible(chosen != null);
        track.setManaged(track.isVisible());
        showProgress(chosen);
    }

    private void showProgress(Track track) {
        boolean there = track != null;
        reviewed.setVisible(there);
        if (!there) {
            languages.setText("");
            words.setText("");
            return;
        }
        languages.setText(Strings.text(
                "strip.languages",
                track.summary().sourceLanguage(),
                track.summary().targetLanguage()));
        TrackCounts counts = track.summary().counts();
        int all = counts.openableWords();
        int done = counts.reviewedWords();
        reviewed.setProgress(all == 0 ? 0 : (double) done / all);
        words.setText(Strings.text("strip.words", done, all));
    }
}
