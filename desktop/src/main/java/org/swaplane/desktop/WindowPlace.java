package org.swaplane.desktop;

import java.util.List;
import java.util.prefs.Preferences;
import javafx.geometry.Rectangle2D;
import javafx.scene.layout.Region;
import javafx.stage.Screen;
import javafx.stage.Stage;

/**
 * Where a window stands and how large it is: as it was left, and never larger than the screen or outside it. Window managers that know
 * no better get a size from the scene itself.
 */
final class WindowPlace {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final double LEAST_WIDTH = 640;
    private static final double LEAST_HEIGHT = 480;
    private static final String MAXIMIZED = "maximized";

    private WindowPlace() {}

    /** Places a window that is not shown yet as it was left, and remembers from now on. */
    static void remembered(Stage stage) {
        Preferences place = Preferences.userNodeForPackage(WindowPlace.class).node("window");
        Rectangle2D wanted = new Rectangle2D(
                place.getDouble("x", Double.MAX_VALUE),
                place.getDouble("y", Double.MAX_VALUE),
                Math.max(LEAST_WIDTH, place.getDouble("width", WIDTH)),
                Math.max(LEAST_HEIGHT, place.getDouble("height", HEIGHT)));
        Rectangle2D screen = screenOf(wanted).getVisualBounds();
        apply(stage, fitted(wanted, screen));
        stage.setMaximized(place.getBoolean(MAXIMIZED, false));
        stage.setOnHiding(event -> remember(stage, place));
    }

    /** Places a window that is not remembered. */
    static void fresh(Stage stage) {
        Rectangle2D wanted = new Rectangle2D(Double.MAX_VALUE, Double.MAX_VALUE, WIDTH, HEIGHT);
        apply(stage, fitted(wanted, Screen.getPrimary().getVisualBounds()));
    }

    private static Screen screenOf(Rectangle2D place) {
        List<Screen> screens =
                Screen.getScreensForRectangle(place.getMinX(), place.getMinY(), place.getWidth(), place.getHeight());
        return screens.isEmpty() ? Screen.getPrimary() : screens.get(0);
    }

    /** No larger than the screen, and within it; in its middle where the place is not known. */
    static Rectangle2D fitted(Rectangle2D wanted, Rectangle2D screen) {
        double width = Math.min(wanted.getWidth(), screen.getWidth());
        double height = Math.min(wanted.getHeight(), screen.getHeight());
        boolean known = screen.intersects(wanted);
        double x = known ? wanted.getMinX() : screen.getMinX() + (screen.getWidth() - width) / 2;
        double y = known ? wanted.getMinY() : screen.getMinY() + (screen.getHeight() - height) / 2;
        return new Rectangle2D(
                Math.max(screen.getMinX(), Math.min(x, screen.getMaxX() - width)),
                Math.max(screen.getMinY(), Math.min(y, screen.getMaxY() - height)),
                width,
                height);
    }

    private static void apply(Stage stage, Rectangle2D place) {
        // Some window managers take the size of the scene and not that of the stage, so both say it.
        if (stage.getScene().getRoot() instanceof Region root) {
            root.setPrefSize(place.getWidth(), place.getHeight());
        }
        stage.setX(place.getMinX());
        stage.setY(place.getMinY());
        stage.setWidth(place.getWidth());
        stage.setHeight(place.getHeight());
        stage.setMinWidth(Math.min(LEAST_WIDTH, place.getWidth()));
        stage.setMinHeight(Math.min(LEAST_HEIGHT, place.getHeight()));
    }

    private static void remember(Stage stage, Preferences place) {
        place.putBoolean(MAXIMIZED, stage.isMaximized());
        if (!stage.isMaximized() && !stage.isIconified()) {
            place.putDouble("x", stage.getX());
            place.putDouble("y", stage.getY());
            place.putDouble("width", stage.getWidth());
            place.putDouble("height", stage.getHeight());
        }
    }
}
