package org.swaplane.desktop.theme;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.util.List;
import javafx.application.Application;
import javafx.scene.Scene;
import org.swaplane.desktop.session.PersonSettings;

/** Warm paper and ink by day, dark paper by night; loads the fonts that ship with the application. */
public final class Theme {
    private static final List<String> FONTS = List.of(
            "OpenSans-Regular.ttf",
            "OpenSans-Semibold.ttf",
            "OpenSans-Bold.ttf",
            "OpenSans-Italic.ttf",
            "Inconsolata.otf");

    private final Scene scene;
    private final PersonSettings person;
    private String shown = "";

    /** Follows what the person chooses. */
    public Theme(Scene scene, PersonSettings person) {
        this.scene = scene;
        this.person = person;
        FONTS.forEach(Fonts::load);
        person.onChange(this::apply);
        apply();
    }

    private void apply() {
        boolean isDark = person.isDark();
        String chosen = isDark + " " + person.fontSize();
        if (chosen.equals(shown)) {
            return;
        }
        shown = chosen;
        Application.setUserAgentStylesheet(
                isDark ? new PrimerDark().getUserAgentStylesheet() : new PrimerLight().getUserAgentStylesheet());
        String size = "data:text/css,.root%7B-fx-font-size:" + person.fontSize() + "px%7D";
        scene.getStylesheets().setAll(sheet(isDark ? "dark.css" : "light.css"), sheet("swaplane.css"), size);
    }

    private static String sheet(String name) {
        return Theme.class.getResource(name).toExternalForm();
    }
}
