package org.swaplane.memory;

import java.io.EOFException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.apache.lucene.index.CorruptIndexException;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexFormatTooNewException;
import org.apache.lucene.index.IndexFormatTooOldException;
import org.apache.lucene.index.IndexNotFoundException;
import org.apache.lucene.store.Directory;
import org.apache.lucene.store.FSDirectory;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/**
 * The folder that a memory lies in, which may hold something else, or a memory that is not whole: one that is being copied, or lost files. A new
 * memory is made in an empty folder only; in any other it would take the place of what is there.
 */
record MemoryFolder(Path path) {
    private static final String INDEX = "index";
    private static final String LOCK = "write.lock";

    Path index() {
        return path.resolve(INDEX);
    }

    /**
     * Makes sure that writing here harms nothing.
     *
     * @throws CannotProceedException when the folder holds other things, or a memory that is not whole
     */
    void requireWritable() throws IOException {
        if (!Files.isDirectory(path)) {
            return;
        }
        if (!Files.isDirectory(index())) {
            if (holdsMoreThan(path, INDEX)) {
                throw new CannotProceedException(path.toString(), "problem.no-memory-folder");
            }
        } else if (!isWhole() && holdsMoreThan(index(), LOCK)) {
            throw new CannotProceedException(path.toString(), "problem.memory-not-whole");
        }
    }

    /** Whether there is a memory whose beginning can be read. */
    private boolean isWhole() throws IOException {
        try (Directory directory = FSDirectory.open(index())) {
            return DirectoryReader.indexExists(directory);
        }
    }

    private static boolean holdsMoreThan(Path folder, String known) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.anyMatch(file -> !file.getFileName().toString().equals(known));
        }
    }

    /** What a failure to open it means to a person; failures that are not of the memory itself stay what they are. */
    IOException explained(IOException failure) {
        boolean isNewer =
                failure instanceof IndexFormatTooNewException || failure instanceof IndexFormatTooOldException;
        boolean isBroken = failure instanceof CorruptIndexException
                || failure instanceof IndexNotFoundException
                || failure instanceof EOFException
                || failure instanceof NoSuchFileException;
        if (isNewer || isBroken) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(path.toString(), 0, 0),
                    Phrase.of(isNewer ? "problem.memory-of-other-version" : "problem.memory-not-whole"),
                    failure);
        }
        return failure;
    }
}
