package org.swaplane.lane;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.swaplane.check.CheckMaterial;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Profile;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.terms.TermListReader;

/** What a lane looks things up in: files for reference, term lists, dictionaries. */
public final class References {
    private final LaneFolder folder;
    private final LaneSettings settings;
    private volatile List<String> personWords = List.of();

    References(LaneFolder folder, LaneSettings settings) {
        this.folder = folder;
        this.settings = settings;
    }

    /** Words that the person who works here knows to be right, in all lanes. */
    public void setPersonWords(List<String> words) {
        personWords = List.copyOf(words);
    }

    /** Keeps a file that is only looked at, in the lane's folder {@code reference}. */
    public Path keep(Source source) throws IOException {
        Files.createDirectories(folder.path().resolve("reference"));
        Path path =
                folder.free("reference", Path.of(source.name()).getFileName().toString());
        try (InputStream in = source.open()) {
            NewFile.write(path, false, in::transferTo);
        }
        return path;
    }

    /** The client's pictures among the files that are kept. */
    public ContextPictures pictures() {
        return new ContextPictures(folder.path().resolve("reference"));
    }

    /** Has the files that another lane keeps as well. */
    void copyFrom(References other) throws IOException {
        Path from = other.folder.path().resolve("reference");
        if (!Files.isDirectory(from)) {
            return;
        }
        Path to = Files.createDirectories(folder.path().resolve("reference"));
        try (Stream<Path> files = Files.list(from)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Files.copy(file, to.resolve(file.getFileName()), StandardCopyOption.REPLACE_EXISTING);
            }
        }
    }

    /** Keeps a term list, and has terms checked by it from now on. */
    public void keepTermList(Source source) throws IOException {
        TermListReader.read(source);
        Path kept = keep(source);
        Profile profile = settings.profile();
        List<String> terms = new ArrayList<>(profile.terms());
        terms.add(folder.path().relativize(kept).toString().replace('\\', '/'));
        LaneWriter.await(settings.setProfile(profile.withTerms(terms)));
    }

    /**
     * The checks of the lane's profile; its term lists and dictionaries are read anew.
     *
     * @throws CannotProceedException when one of them is not there or cannot be read
     */
    public CheckRun checks() throws IOException {
        Profile profile = settings.profile();
        List<String> keep = new ArrayList<>(profile.keep());
        keep.addAll(personWords);
        return CheckRun.of(profile.withKeep(keep), CheckMaterial.read(profile, folder.path()));
    }
}
