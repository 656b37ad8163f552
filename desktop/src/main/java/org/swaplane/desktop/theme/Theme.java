package org.swaplane.desktop.theme;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.util.List;
import javafx.application.Application;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.Scene;

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
        FONTS.forEach(Fonts::load);
        dark.addListener((property, before, now) -> apply());
        apply();
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
