package org.swaplane.desktop.theme;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import javafx.application.Application;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.Scene;
import javafx.scene.text.Font;

/** Warm paper and ink by day, dark paper by night; loads the fonts that ship with the application. */
public final class Theme {
    private static final List<String> FONTS = List.of(
            "OpenSans-Regular.ttf",
            "OpenSans-Semibold.ttf",
            "OpenSans-Bold.ttf",
            "OpenSans-Italic.ttf",
            "Inconsolata.otf");

    private final BooleanProperty dark = new SimpleBooleanProperty();
    private final Scene scene;

    public Theme(Scene scene) {
        this.scene = scene;
        FONTS.forEach(Theme::loadFont);
        dark.addListener((property, before, now) -> apply());
        apply();
    }

    private static void loadFont(String name) {
        try (InputStream in = Theme.class.getResourceAsStream("fonts/" + name)) {
            Font.loadFont(in, 14);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void apply() {
        boolean isDark = dark.get();
        Application.setUserAgentStylesheet(
                isDark ? new PrimerDark().getUserAgentStylesheet() : new PrimerLight().getUserAgentStylesheet());
        scene.getStylesheets().setAll(sheet(isDark ? "dark.css" : "light.css"), sheet("swaplane.css"));
    }

    private static String sheet(String name) {
        return Theme.class.getResource(name).toExternalForm();
    }

    public BooleanProperty darkProperty() {
        return dark;
    }
}
