package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;

/** Pictures that came with the client's files, such as screenshots, for the segments whose notes or keys name them. */
public final class ContextPictures {
    private static final Set<String> FORMS = Set.of("png", "jpg", "jpeg", "gif", "bmp");
    /** A shorter name without its extension would be found in any text. */
    private static final int SHORTEST = 4;

    private static final long MOST_PIXELS = 40_000_000;

    private final Path folder;

    /** @param folder of the lane's reference files */
    ContextPictures(Path folder) {
        this.folder = folder;
    }

    /** Those of a segment, by name; without those that are broken or too large to be shown. */
    public List<Path> of(Segment segment) throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        String said = Stream.concat(
                        Stream.of(segment.key()), segment.notes().stream().flatMap(ContextPictures::texts))
                .collect(Collectors.joining("\n"))
                .toLowerCase(Locale.ROOT);
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> isNamed(file, said))
                    .filter(ContextPictures::isShowable)
                    .sorted()
                    .toList();
        }
    }

    private static Stream<String> texts(Note note) {
        return Stream.of(note.text(), note.from());
    }

    private static boolean isNamed(Path file, String said) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        int dot = name.lastIndexOf('.');
        if (dot < 0 || !FORMS.contains(name.substring(dot + 1))) {
            return false;
        }
        return holds(said, name) || dot >= SHORTEST && holds(said, name.substring(0, dot));
    }

    /** Whether a name stands in a text, and not inside a longer one. */
    private static boolean holds(String text, String name) {
        for (int at = text.indexOf(name); at >= 0; at = text.indexOf(name, at + 1)) {
            int end = at + name.length();
            boolean begins = at == 0 || !Character.isLetterOrDigit(text.codePointBefore(at));
            if (begins && (end == text.length() || !Character.isLetterOrDigit(text.codePointAt(end)))) {
                return true;
            }
        }
        return false;
    }

    /** Asks for the size alone, so that a picture that claims to be huge is never unpacked. */
    private static boolean isShowable(Path file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return false;
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return (long) reader.getWidth(0) * reader.getHeight(0) <= MOST_PIXELS;
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            return false;
        }
    }
}
