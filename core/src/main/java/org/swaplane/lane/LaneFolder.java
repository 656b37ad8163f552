package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.swaplane.task.BlockingWork;

/** Where the files of a lane lie. */
record LaneFolder(Path path) {
    private static final Logger LOG = Logger.getLogger(LaneFolder.class.getName());
    private static final Pattern HALF_WRITTEN =
            Pattern.compile("\\.(writing-|trial|original).*\\.tmp|(incoming|draft)\\d+\\.tmp");
    private static final List<String> SUBFOLDERS = List.of("files", "out", "reports", "sent", "dry-run");

    void make() throws IOException {
        BlockingWork.begins();
        for (String name : SUBFOLDERS) {
            Files.createDirectories(path.resolve(name));
        }
    }

    /** Deletes what a program that was killed was writing beside its place. */
    void tidy() {
        for (String name : SUBFOLDERS) {
            try (Stream<Path> files = Files.list(path.resolve(name))) {
                for (Path left : files.filter(file -> HALF_WRITTEN
                                .matcher(file.getFileName().toString())
                                .matches())
                        .toList()) {
                    Files.deleteIfExists(left);
                }
            } catch (IOException e) {
                LOG.log(Level.INFO, "what an interrupted program wrote is left in " + path, e);
            }
        }
    }

    /** A path in one of its folders that no file has yet: {@code name-2.ext} when {@code name.ext} is there. */
    Path free(String subfolder, String name) {
        BlockingWork.begins();
        Path parent = path.resolve(subfolder);
        int dot = name.lastIndexOf('.');
        String stem = dot < 0 ? name : name.substring(0, dot);
        String extension = dot < 0 ? "" : name.substring(dot);
        Path free = parent.resolve(name);
        for (int i = 2; Files.exists(free); i++) {
            free = parent.resolve(stem + '-' + i + extension);
        }
        return free;
    }
}
