package org.swaplane.desktop;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Strings;

/** Asks for files with the dialogs of the platform. */
final class DialogPicker implements FilePicker {
    /** How long the window manager may take to give the window back. */
    private static final Duration SETTLES = Duration.millis(250);

    private final Stage stage;
    private final PersonSettings person;
    private final PauseTransition settling = new PauseTransition(SETTLES);

    DialogPicker(Stage stage, PersonSettings person) {
        this.stage = stage;
        this.person = person;
    }

    /** Some window managers shrink a maximized window while one of its dialogs is open; afterwards it is as it was. */
    private <T> T inPlace(Supplier<T> dialog) {
        // One dialog may follow another before the window is as it was.
        boolean maximized = stage.isMaximized() || settling.getStatus() == Animation.Status.RUNNING;
        settling.stop();
        T answer = dialog.get();
        if (maximized) {
            settling.setOnFinished(event -> {
                stage.setMaximized(false);
                stage.setMaximized(true);
            });
            settling.playFromStart();
        }
        return answer;
    }

    /** Where files were chosen last, if that folder is still there. */
    private Optional<File> begin() {
        return person.lastFolder().map(Path::toFile).filter(File::isDirectory);
    }

    private Path remembered(File chosen) {
        Path path = chosen.toPath().toAbsolutePath();
        person.setLastFolder(path.getParent() == null ? path : path.getParent());
        return path;
    }

    @Override
    public List<Path> chooseFiles() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Strings.text("picker.files"));
        begin().ifPresent(chooser::setInitialDirectory);
        List<File> files = inPlace(() -> chooser.showOpenMultipleDialog(stage));
        return files == null ? List.of() : files.stream().map(this::remembered).toList();
    }

    @Override
    public Optional<Path> chooseFolder() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(Strings.text("picker.folder"));
        begin().ifPresent(chooser::setInitialDirectory);
        return Optional.ofNullable(inPlace(() -> chooser.showDialog(stage))).map(this::remembered);
    }

    @Override
    public Optional<Path> chooseTarget(String name) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Strings.text("picker.target"));
        chooser.setInitialFileName(name);
        begin().ifPresent(chooser::setInitialDirectory);
        return Optional.ofNullable(inPlace(() -> chooser.showSaveDialog(stage))).map(this::remembered);
    }
}
