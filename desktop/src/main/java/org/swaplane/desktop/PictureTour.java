package org.swaplane.desktop;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.control.ToggleButton;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.swaplane.demo.DemoDesk;
import org.swaplane.demo.DemoLane;
import org.swaplane.demo.DemoWeek;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.server.DeskServer;
import org.swaplane.desktop.lanes.LanesModel;
import org.swaplane.desktop.lanes.LanesView;
import org.swaplane.desktop.lanes.PersonPane;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.theme.Theme;
import org.swaplane.exchange.RowChange;
import org.swaplane.format.Source;
import org.swaplane.jobreport.ReportPart;
import org.swaplane.lane.MemoryFill;

/** Goes through the job on the demo lane, on a day that is always the same, and takes a picture of each main view. */
public final class PictureTour extends Application {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);
    private static Path pictures;

    private final Deque<Runnable> steps = new ArrayDeque<>();
    private final PersonSettings person = PersonSettings.none();
    private LaneSession session;
    private final Stage lanes = new Stage();
    private Scene window;
    private Scene scene;
    private Path folder;
    private DeskServer desk;

    /** JavaFX makes the application itself, so where the pictures go waits here for it. */
    static void into(Path chosen) {
        pictures = chosen;
    }

    @Override
    public void start(Stage stage) throws IOException {
        folder = Files.createTempDirectory("swaplane-pictures");
        Files.createDirectories(pictures);
        session = new LaneSession(DemoLane.createWithReturnedCopy(folder, DAY), person);
        writeInbox(DemoLane.writeDocuments(folder.resolve("inbox")));
        desk = DeskServer.start(0, Files.createTempDirectory("swaplane-desk"), DAY);
        DemoDesk.offerTasks(desk);
        scene = Window.scene(session, List::of, file -> {});
        window = scene;
        stage.setScene(scene);
        stage.show();
        plan();
        next();
    }

    private void plan() {
        step(this::showLanes, "lanes");
        step(
                () -> {
                    lanes.hide();
                    scene = window;
                    show(ViewId.BOARD);
                },
                "board");
        step(() -> show(ViewId.LANE_SETTINGS), "lane-settings");
        step(
                () -> {
                    session.viewProperty().set(ViewId.DRY_RUN);
                    session.dryRuns().run();
                },
                "dry-run");
        step(() -> session.intakes().receive(List.of(folder.resolve("inbox"))), "intake");
        step(
                () -> {
                    session.intakes().leave();
                    show(ViewId.EXCHANGE);
                },
                "exchange");
        step(
                () -> session.intakes()
                        .receive(List.of(folder.resolve("returned").resolve("scan final (2).docx"))),
                "bring-back");
        steps.add(() -> session.exchange()
                .take(
                        session.exchange().returnedProperty().get().reading().safe().stream()
                                .map(RowChange::number)
                                .collect(Collectors.toSet()),
                        Map.of()));
        step(
                () -> {
                    session.dismissMessage();
                    show(ViewId.CHECKS);
                },
                "checks");
        step(
                () -> {
                    session.currentProperty().set(7);
                    show(ViewId.REVIEW);
                },
                "review");
        step(() -> person.setDark(!person.isDark()), "review-dark");
        step(
                () -> {
                    person.setDark(!person.isDark());
                    ((ToggleButton) scene.lookup("#read-through")).fire();
                },
                "reading");
        step(
                () -> {
                    ((ToggleButton) scene.lookup("#read-through")).fire();
                    show(ViewId.RELEASE);
                },
                "release");
        steps.add(() -> session.deskWork().setAddress(desk.address()));
        steps.add(
                () -> session.deskWork().accept(session.deskWork().rows().get(1).task()));
        steps.add(() -> session.deskWork()
                .fetch(
                        session.deskWork().rows().get(0).job().orElseThrow(),
                        new DownloadOptions(
                                DownloadOptions.Form.XLIFF_2_1, DownloadOptions.Memory.NONE, true, false, false)));
        steps.add(() -> session.deskWork()
                .giveBack(session.deskWork().rows().get(0).job().orElseThrow(), "a first look"));
        steps.add(() -> {
            session.dismissMessage();
            show(ViewId.DESK);
        });
        step(
                () -> ((TableView<?>) scene.lookup("#desk-tasks"))
                        .getSelectionModel()
                        .select(0),
                "desk");
        steps.add(() -> session.sourceUpdates().look(session.track(), secondVersion()));
        step(() -> show(ViewId.COMPARE), "compare");
        step(
                () -> {
                    show(ViewId.REFERENCES);
                    session.soughtProperty().set("crossing");
                },
                "references");
        step(
                () -> {
                    ((ToggleButton) scene.lookup("#show-preparation")).fire();
                    session.memories().plan(MemoryFill.Choices.DEFAULT);
                    session.memories().analyze(session.lane().tracks());
                },
                "preparation");
        steps.add(() -> session.background()
                .run(
                        "",
                        progress -> {
                            DemoWeek.work(session.lane());
                            return true;
                        },
                        done -> {}));
        step(() -> show(ViewId.REPORT), "report");
        steps.add(() -> choosePart(ReportPart.QUALITY));
        step(
                () -> ((ListView<?>) scene.lookup("#report-figures"))
                        .getSelectionModel()
                        .select(1),
                "report-quality");
        steps.add(Platform::exit);
    }

    @SuppressWarnings("unchecked")
    private void choosePart(ReportPart part) {
        ((ListView<ReportPart>) scene.lookup("#report-parts"))
                .getSelectionModel()
                .select(part);
    }

    /** Some of the demo's documents come again as they are, one in a new version, and there is a new one. */
    private static void writeInbox(Path inbox) throws IOException {
        Path app = inbox.resolve("app.json");
        Files.writeString(app, Files.readString(app).replace("Book now", "Book your seat now"));
        Files.writeString(
                inbox.resolve("notice.html"),
                "<html lang=\"en-GB\"><body><h1>Storm notice</h1><p>The evening crossing is cancelled.</p></body></html>");
    }

    /** The demo's file as the client might send it again. */
    private static Source secondVersion() {
        String first;
        try {
            first = new String(DemoLane.file(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IllegalStateException("the demo's file cannot be read", e);
        }
        String second = first.replace("departs at 14:05", "departs at 14:35")
                .replace("The first ferry leaves", "From May, the first ferry leaves")
                .replace("run every day, all year round", "run every day");
        return Source.of("passenger-info May.xlf", second.getBytes(StandardCharsets.UTF_8));
    }

    private void showLanes() {
        person.opened(folder, DAY.instant());
        LanesModel model = new LanesModel(person, DAY, Platform::runLater, lane -> {});
        LanesView view = new LanesView(model, List::of, file -> {}, () -> {}, new PersonPane(person, List::of));
        scene = new Scene(view, 1280, 800);
        new Theme(scene, person);
        lanes.setScene(scene);
        lanes.show();
        view.refresh();
    }

    private void show(ViewId view) {
        session.viewProperty().set(view);
    }

    private void step(Runnable action, String picture) {
        steps.add(action);
        steps.add(() -> {
            try {
                Picture.save(scene, pictures.resolve(picture + ".png"));
            } catch (IOException e) {
                throw new IllegalStateException("the picture cannot be written", e);
            }
        });
    }

    /** The next step, once the work in the background is done and the window has had time to draw. */
    private void next() {
        PauseTransition pause = new PauseTransition(Duration.millis(700));
        pause.setOnFinished(event -> {
            if (!session.background().busyProperty().get()) {
                steps.poll().run();
            }
            if (!steps.isEmpty()) {
                next();
            }
        });
        pause.play();
    }

    @Override
    public void stop() {
        session.closeAndWait();
        desk.close();
    }
}
