package org.swaplane.desktop;

import java.util.Locale;
import java.util.Optional;
import javafx.application.Application;
import javafx.stage.Stage;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.TemporaryFolder;

/** The desktop: all lanes of the person, or one of them. */
public final class SwapLaneApplication extends Application {
    private static Optional<LaneWindows.Opened> first = Optional.empty();

    private LaneWindows windows;

    /** JavaFX makes the application itself, so a lane that is open already waits here for it. */
    static void start(Optional<LaneWindows.Opened> opened) {
        first = opened;
        launch(SwapLaneApplication.class);
    }

    @Override
    public void start(Stage stage) {
        PersonSettings person = PersonSettings.ofPerson();
        String language = person.interfaceLanguage();
        Strings.choose(language.isEmpty() ? Locale.getDefault() : Locale.forLanguageTag(language));
        Thread tidying = new Thread(TemporaryFolder::tidy, "tidying");
        tidying.setDaemon(true);
        tidying.start();
        windows = new LaneWindows(person, getHostServices());
        first.ifPresentOrElse(opened -> windows.show(stage, opened), windows::showLanes);
    }

    @Override
    public void stop() throws InterruptedException {
        windows.close();
    }
}
