package org.swaplane.desktop.session;

import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Properties;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.swaplane.format.FileOptions;

/** What a new lane begins with: the languages of the one before. Kept in a file of its own, apart from the settings of lanes. */
public final class Defaults {
    private static final Logger LOG = Logger.getLogger(Defaults.class.getName());

    private final Optional<Path> file;
    private final Properties values = new Properties();

    private Defaults(Optional<Path> file) {
        this.file = file;
    }

    /** Nothing is known, and nothing is kept. */
    public static Defaults none() {
        return new Defaults(Optional.empty());
    }

    /** Those in this file, which needs not be there yet. */
    public static Defaults in(Path file) {
        Defaults defaults = new Defaults(Optional.of(file));
        if (Files.exists(file)) {
            try (Reader in = Files.newBufferedReader(file)) {
                defaults.values.load(in);
            } catch (IOException | IllegalArgumentException e) {
                LOG.log(Level.WARNING, "the defaults in " + file + " cannot be read", e);
            }
        }
        return defaults;
    }

    /** Those of the person who runs the program, where programs of this system keep such things. */
    public static Defaults ofPerson() {
        String configured = System.getenv("XDG_CONFIG_HOME");
        Path home = configured == null || configured.isBlank()
                ? Path.of(System.getProperty("user.home"), ".config")
                : Path.of(configured);
        return in(home.resolve("swaplane").resolve("defaults.properties"));
    }

    FileOptions languages() {
        return FileOptions.ofLanguages(values.getProperty("source", ""), values.getProperty("target", ""));
    }

    /** Work goes on if they cannot be kept. */
    void rememberLanguages(String source, String target) {
        values.setProperty("source", source);
        values.setProperty("target", target);
        file.ifPresent(path -> {
            try {
                Files.createDirectories(path.getParent());
                try (Writer out = Files.newBufferedWriter(path)) {
                    values.store(out, null);
                }
            } catch (IOException e) {
                LOG.log(Level.WARNING, "the defaults cannot be kept in " + path, e);
            }
        });
    }
}
