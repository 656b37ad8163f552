package org.swaplane.desktop;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Stage;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Strings;

/** Asks for files with the dialogs of the platform. */
final class DialogPicker implements FilePicker {
    private final Stage stage;
    private final PersonSettings person;

    DialogPicker(Stage stage, PersonSettings person) {
        this.stage = stage;
        this.person = person;
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
        List<File> files = chooser.showOpenMultipleDialog(stage);
        return files == null ? List.of() : files.stream().map(this::remembered).toList();
    }

    @Override
    public Optional<Path> chooseFolder() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(Strings.text("picker.folder"));
        begin().ifPresent(chooser::setInitialDirectory);
        return Optional.ofNullable(chooser.showDialog(stage)).map(this::remembered);
    }

    @Override
    public Optional<Path> chooseTarget(String name) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Strings.text("picker.target"));
        chooser.setInitialFileName(name);
        begin().ifPresent(chooser::setInitialDirectory);
        return Optional.ofNullable(chooser.showSaveDialog(stage)).map(this::remembered);
    }
}
