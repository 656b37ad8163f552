package org.swaplane.desktop;

import java.util.Optional;
import java.util.prefs.Preferences;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import javafx.util.Duration;

/**
 * Where a window stands and how large it is: as it was left, and never larger than the screen or outside it. On a screen that it would
 * fill, it is maximized, since no window manager says before how much room its frame takes.
 */
final class WindowPlace {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final double LEAST_WIDTH = 640;
    private static final double LEAST_HEIGHT = 480;
    private static final double FRAME = 48;
    private static final double SHARE_OF_SCREEN = 0.9;

    /** Some window managers shrink a new window right after it is shown; so it is told its size again, this often. */
    private static final int TIMES = 4;

    private static final Duration BETWEEN = Duration.millis(120);

    /**
     * What a window gets.
     *
     * @param corner where it was left; empty where the window manager may choose
     */
    record Fitted(Optional<Rectangle2D> corner, double width, double height, boolean maximized) {}

    private WindowPlace() {}

    /** Places a window that is not shown yet as it was left, and remembers from now on. */
    static void remembered(Stage stage) {
        Preferences place = Preferences.userNodeForPackage(WindowPlace.class).node("window");
        double x = place.getDouble("x", Double.NaN);
        double width = Math.max(LEAST_WIDTH, place.getDouble("width", WIDTH));
        double height = Math.max(LEAST_HEIGHT, place.getDouble("height", HEIGHT));
        Optional<Rectangle2D> left = Double.isNaN(x)
                ? Optional.empty()
                : Optional.of(new Rectangle2D(x, place.getDouble("y", 0), width, height));
        Fitted fitted = fitted(left, width, height, screenOf(left).getVisualBounds());
        place(stage, place.getBoolean("maximized", false) ? maximized(fitted) : fitted);
        stage.addEventHandler(WindowEvent.WINDOW_HIDING, event -> remember(stage, place));
    }

    /** Places a window that is not remembered. */
    static void fresh(Stage stage) {
        place(stage, fitted(Optional.empty(), WIDTH, HEIGHT, Screen.getPrimary().getVisualBounds()));
    }

    private static Fitted maximized(Fitted other) {
        return new Fitted(other.corner(), other.width(), other.height(), true);
    }

    private static Screen screenOf(Optional<Rectangle2D> left) {
        return left.stream()
                .flatMap(each ->
                        Screen.getScreensForRectangle(each.getMinX(), each.getMinY(), each.getWidth(), each.getHeight())
                                .stream())
                .findFirst()
                .orElseGet(Screen::getPrimary);
    }

    /** A window of this size, left at this place if it is known, on a screen. */
    static Fitted fitted(Optional<Rectangle2D> left, double width, double height, Rectangle2D screen) {
        boolean fills = width >= screen.getWidth() || height + FRAME >= screen.getHeight();
        double fitWidth = Math.min(width, screen.getWidth() * SHARE_OF_SCREEN);
        double fitHeight = Math.min(height, screen.getHeight() * SHARE_OF_SCREEN);
        Optional<Rectangle2D> corner = left.filter(screen::intersects)
                .map(each -> new Rectangle2D(
                        Math.max(screen.getMinX(), Math.min(each.getMinX(), screen.getMaxX() - fitWidth)),
                        Math.max(screen.getMinY(), Math.min(each.getMinY(), screen.getMaxY() - fitHeight)),
                        fitWidth,
                        fitHeight));
        return new Fitted(corner, fitWidth, fitHeight, fills);
    }

    private static void place(Stage stage, Fitted place) {
        place.corner().ifPresent(corner -> {
            stage.setX(corner.getMinX());
            stage.setY(corner.getMinY());
        });
        size(stage, place);
        stage.setMaximized(place.maximized());
        Timeline again = new Timeline(new KeyFrame(BETWEEN, event -> sizeAgain(stage, place)));
        again.setCycleCount(TIMES);
        stage.addEventHandler(WindowEvent.WINDOW_SHOWN, event -> again.play());
    }

    private static void size(Stage stage, Fitted place) {
        stage.setWidth(place.width());
        stage.setHeight(place.height());
    }

    private static void sizeAgain(Stage stage, Fitted place) {
        boolean shrunk = stage.getWidth() < place.width() - 1 || stage.getHeight() < place.height() - 1;
        if (shrunk && stage.isShowing()) {
            size(stage, place);
            stage.setMaximized(place.maximized());
        }
        stage.setMinWidth(Math.min(LEAST_WIDTH, place.width()));
        stage.setMinHeight(Math.min(LEAST_HEIGHT, place.height()));
    }

    private static void remember(Stage stage, Preferences place) {
        place.putBoolean("maximized", stage.isMaximized());
        if (!stage.isMaximized() && !stage.isIconified()) {
            place.putDouble("x", stage.getX());
            place.putDouble("y", stage.getY());
            place.putDouble("width", stage.getWidth());
            place.putDouble("height", stage.getHeight());
        }
    }
}
