package org.swaplane.format;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.UUID;
import org.swaplane.task.BlockingWork;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Durable;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** Writes a file beside its place and moves it there when it is whole, so that nobody ever finds half of one, not even after the power went. */
public final class NewFile {
    private NewFile() {}

    /** Writes the bytes of a file. */
    public interface Writer {
        void write(OutputStream out) throws IOException;
    }

    /**
     * Writes {@code path}.
     *
     * @param replace whether a file that is there may be replaced
     * @throws CannotProceedException when one is there and must not be
     */
    public static void write(Path path, boolean replace, Writer writer) throws IOException {
        BlockingWork.begins();
        refuseExisting(path, replace);
        Path folder = path.toAbsolutePath().getParent();
        if (!Files.isDirectory(folder)) {
            throw new CannotProceedException(path.toString(), "problem.no-folder");
        }
        // Not a temporary file of the system's, which nobody but its owner may read.
        Path beside = folder.resolve(".writing-" + UUID.randomUUID() + ".tmp");
        try {
            try (OutputStream out =
                    new BufferedOutputStream(Files.newOutputStream(beside, StandardOpenOption.CREATE_NEW))) {
                writer.write(out);
            }
            refuseExisting(path, replace);
            Durable.file(beside);
            Files.move(beside, path, StandardCopyOption.REPLACE_EXISTING);
            Durable.folder(folder);
        } catch (FileAlreadyExistsException e) {
            throw existing(path);
        } catch (IOException e) {
            if (Reason.isFullDisk(e)) {
                throw new CannotProceedException(
                        new CannotProceedException.Place(path.toString(), 0, 0), Phrase.of("reason.disk-full"), e);
            }
            throw e;
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    private static void refuseExisting(Path path, boolean replace) {
        if (!replace && Files.exists(path)) {
            throw existing(path);
        }
    }

    private static CannotProceedException existing(Path path) {
        return new CannotProceedException(path.toString(), "problem.file-exists");
    }
}
