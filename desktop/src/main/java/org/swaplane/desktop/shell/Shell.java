package org.swaplane.desktop.shell;

import java.io.File;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.ViewId;

/** The frame around the views. Files can be dropped on it anywhere. */
public final class Shell extends StackPane {
    /** So many views have a digit as their key. */
    private static final int KEYED = 9;

    private final LaneSession session;
    private final List<ViewDescriptor> descriptors;
    private final Map<ViewId, View> views = new HashMap<>();
    private final BorderPane frame = new BorderPane();
    private final VBox centre = new VBox();
    private final MessageBar messages;
    /** While somebody types the counts can wait. */
    private final PauseTransition counting = new PauseTransition(Duration.millis(200));

    private final Rail rail;
    private final Strip strip;
    private final Palette palette;
    private final KeyList keys;

    /** Makes the views; they add what their keys do to {@code commands}, and so does the frame. */
    public Shell(ViewContext context, List<ViewDescriptor> descriptors, Commands commands) {
        this.session = context.session();
        this.descriptors = List.copyOf(descriptors);
        for (ViewDescriptor descriptor : descriptors) {
            View view = descriptor.factory().apply(context);
            commands.begin(descriptor.id().name());
            view.addCommands(commands);
            views.put(descriptor.id(), view);
        }
        commands.begin(Commands.WINDOW);
        addViewCommands(commands);
        this.palette = new Palette(commands, session, this::focusFront);
        this.keys = new KeyList(commands, context.picker(), this::focusFront);
        AppCommand openPalette = commands.add("palette", "Shortcut+K", () -> true, palette::open);
        commands.add("keys", "F1", () -> true, keys::open);
        this.messages = new MessageBar(session.messageProperty(), context.opener(), session::dismissMessage);
        StackPane.setAlignment(messages, Pos.BOTTOM_CENTER);
        StackPane.setMargin(messages, new Insets(0, 24, 16, 24));
        this.rail = new Rail(session, descriptors);
        CommandMenu menu = new CommandMenu("window-menu", "menu.window");
        menu.offer(commands.of(Commands.WINDOW));
        this.strip = new Strip(session, openPalette, menu);
        frame.getStyleClass().add("frame");
        frame.setTop(strip);
        frame.setLeft(rail);
        frame.setCenter(centre);
        getChildren().addAll(frame, messages, palette, keys);
        session.viewProperty().addListener((property, before, now) -> show(now));
        session.onChange(topics -> refresh());
        setOnDragOver(this::dragOver);
        setOnDragDropped(this::dropped);
        counting.setOnFinished(event -> count());
        show(session.viewProperty().get());
        // Else the first control of the window has the keyboard, which may be the one that cancels.
        sceneProperty()
                .addListener((property, before, now) -> Platform.runLater(
                        () -> views.get(session.viewProperty().get()).focus()));
        count();
    }

    private void focusFront() {
        views.get(session.viewProperty().get()).focus();
    }

    private void addViewCommands(Commands commands) {
        for (int i = 0; i < descriptors.size(); i++) {
            ViewId view = descriptors.get(i).id();
            String id = "view-" + view.name();
            commands.add(id, i < KEYED ? "Alt+" + (i + 1) : "", () -> true, () -> session.viewProperty()
                    .set(view));
        }
    }

    private void show(ViewId view) {
        Notification message = session.messageProperty().get();
        if (message != null && message.tone() == Notification.Tone.DONE) {
            session.dismissMessage();
        }
        View front = views.get(view);
        centre.getChildren().setAll(front.node());
        VBox.setVgrow(front.node(), Priority.ALWAYS);
        front.refresh();
        front.focus();
        PauseTransition drawn = new PauseTransition(Duration.millis(80));
        drawn.setOnFinished(event -> keepFocusIn(front));
        drawn.play();
    }

    /** What was not yet in the window when it was to get the keyboard gets it now; else the first control of the window has it. */
    private void keepFocusIn(View front) {
        Node owner = getScene() == null ? null : getScene().getFocusOwner();
        for (Node each = owner; each != null; each = each.getParent()) {
            if (each == front.node() || each == palette || each == keys) {
                return;
            }
        }
        if (front.node().getScene() != null && views.get(session.viewProperty().get()) == front) {
            front.focus();
        }
    }

    private void refresh() {
        views.get(session.viewProperty().get()).refresh();
        counting.playFromStart();
    }

    private void count() {
        if (!session.isOpen()) {
            return;
        }
        strip.show(session.track());
        descriptors.forEach(view -> rail.count(view.id(), view.badge().applyAsInt(session)));
    }

    private void dragOver(DragEvent event) {
        if (event.getDragboard().hasFiles()) {
            event.acceptTransferModes(TransferMode.COPY);
        }
        event.consume();
    }

    private void dropped(DragEvent event) {
        session.intakes()
                .receive(event.getDragboard().getFiles().stream()
                        .map(File::toPath)
                        .toList());
        event.setDropCompleted(true);
        event.consume();
    }
}
