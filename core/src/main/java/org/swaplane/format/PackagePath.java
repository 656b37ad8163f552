package org.swaplane.format;

import com.ibm.icu.lang.UCharacter;
import java.nio.charset.StandardCharsets;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/**
 * The path of a file within a package, as somebody else says it: relative, with {@code /} between its parts, and such that every system can
 * hold it. What comes from a desk, an archive or a pattern becomes one of these before it touches a folder.
 */
public record PackagePath(String value) {
    private static final int MOST_BYTES = 4096;
    private static final int MOST_BYTES_OF_A_PART = 255;

    /** Devices of Windows, which stay so with any ending; the small digits count as digits there. */
    private static final Pattern RESERVED =
            Pattern.compile("(con|prn|aux|nul|conin\\$|conout\\$|(com|lpt)[0-9\\u00b9\\u00b2\\u00b3])( *\\..*)?");

    private static final Pattern DRIVE = Pattern.compile("[A-Za-z]:.*", Pattern.DOTALL);

    /**
     * @throws CannotProceedException when the text cannot be such a path, with the reason
     */
    public PackagePath {
        Optional<Phrase> fault = fault(value);
        if (fault.isPresent()) {
            throw new CannotProceedException(
                    shown(value), "problem.package-path", fault.get().text());
        }
    }

    private static Optional<Phrase> fault(String path) {
        if (path == null || path.isEmpty()) {
            return Optional.of(Phrase.of("path.empty"));
        }
        if (path.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            return Optional.of(Phrase.of("path.long", MOST_BYTES));
        }
        if (path.indexOf('\\') >= 0) {
            return Optional.of(Phrase.of("path.backslash"));
        }
        if (path.startsWith("/") || DRIVE.matcher(path).matches()) {
            return Optional.of(Phrase.of("path.absolute"));
        }
        if (path.codePoints().anyMatch(PackagePath::isNoText)) {
            return Optional.of(Phrase.of("path.control"));
        }
        for (String part : path.split("/", -1)) {
            Optional<Phrase> fault = faultOfPart(part);
            if (fault.isPresent()) {
                return fault;
            }
        }
        return Optional.empty();
    }

    private static Optional<Phrase> faultOfPart(String part) {
        if (part.isEmpty()) {
            return Optional.of(Phrase.of("path.empty-part"));
        }
        if (part.equals(".") || part.equals("..")) {
            return Optional.of(Phrase.of("path.climbs"));
        }
        if (part.endsWith(".") || part.endsWith(" ")) {
            return Optional.of(Phrase.of("path.end", part));
        }
        if (part.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES_OF_A_PART) {
            return Optional.of(Phrase.of("path.long-part", MOST_BYTES_OF_A_PART));
        }
        return RESERVED.matcher(part.toLowerCase(Locale.ROOT)).matches()
                ? Optional.of(Phrase.of("path.reserved", part))
                : Optional.empty();
    }

    /** Controls, ends of lines, marks that turn the direction of what follows, and half a character. */
    private static boolean isNoText(int c) {
        int type = Character.getType(c);
        return type == Character.CONTROL
                || type == Character.LINE_SEPARATOR
                || type == Character.PARAGRAPH_SEPARATOR
                || type == Character.SURROGATE
                || c >= 0x202a && c <= 0x202e
                || c >= 0x2066 && c <= 0x2069;
    }

    /** A path for a message, whatever is in it. */
    private static String shown(String path) {
        if (path == null) {
            return "";
        }
        StringBuilder shown = new StringBuilder();
        path.codePoints().limit(120).forEach(c -> shown.appendCodePoint(isNoText(c) ? '\ufffd' : c));
        return shown.toString();
    }

    public String fileName() {
        return value.substring(value.lastIndexOf('/') + 1);
    }

    /** The folders before the name, with {@code /} between them; empty for none. */
    public String folder() {
        return value.contains("/") ? value.substring(0, value.lastIndexOf('/')) : "";
    }

    /**
     * The file that it means in a folder.
     *
     * @throws CannotProceedException when this system cannot hold such a name
     */
    public Path in(Path folder) {
        try {
            Path base = folder.normalize();
            Path path = base.resolve(value).normalize();
            if (!path.startsWith(base) || path.equals(base)) {
                throw new CannotProceedException(
                        shown(value),
                        "problem.package-path",
                        Phrase.of("path.climbs").text());
            }
            return path;
        } catch (InvalidPathException e) {
            throw new CannotProceedException(
                    shown(value),
                    "problem.package-path",
                    Phrase.of("path.system").text());
        }
    }

    /** Paths of one package, where two that some file system takes for one must not meet. */
    public static final class Claims {
        private final Set<String> files = new HashSet<>();
        private final Set<String> folders = new HashSet<>();

        /**
         * Claims a path for a file.
         *
         * @throws CannotProceedException when another one has it, but for the case or the Unicode form of its letters, or one is a folder
         *     where the other is a file
         */
        public void claim(PackagePath path) {
            String key = UCharacter.foldCase(Normalizer.normalize(path.value(), Normalizer.Form.NFKC), true);
            List<String> above = above(key);
            if (files.contains(key) || folders.contains(key) || above.stream().anyMatch(files::contains)) {
                throw new CannotProceedException(
                        path.value(),
                        "problem.package-path",
                        Phrase.of("path.twice").text());
            }
            files.add(key);
            folders.addAll(above);
        }

        private static List<String> above(String key) {
            List<String> folders = new ArrayList<>();
            for (int slash = key.indexOf('/'); slash >= 0; slash = key.indexOf('/', slash + 1)) {
                folders.add(key.substring(0, slash));
            }
            return folders;
        }
    }
}
