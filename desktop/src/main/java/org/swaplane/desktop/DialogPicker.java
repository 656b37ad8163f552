package org.swaplane.desktop;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Stage;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.text.Strings;

/** Asks for files with the dialogs of the platform. */
final class DialogPicker implements FilePicker {
    private final Stage stage;

    DialogPicker(Stage stage) {
        this.stage = stage;
    }

    @Override
    public List<Path> chooseFiles() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Strings.say("board.choose"));
        List<File> files = chooser.showOpenMultipleDialog(stage);
        return files == null ? List.of() : files.stream().map(File::toPath).toList();
    }

    @Override
    public Optional<Path> chooseFolder() {
        return Optional.ofNullable(new DirectoryChooser().showDialog(stage)).map(File::toPath);
    }

    @Override
    public Optional<Path> chooseTarget(String name) {
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName(name);
        return Optional.ofNullable(chooser.showSaveDialog(stage)).map(File::toPath);
    }
}
