package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.document.Segment;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class ContextPicturesTest {
    @TempDir
    private Path folder;

    @BeforeEach
    void draw() throws IOException {
        for (String name : List.of("Timetable.png", "tickets.png", "a.png")) {
            ImageIO.write(
                    new BufferedImage(4, 3, BufferedImage.TYPE_INT_RGB),
                    "png",
                    folder.resolve(name).toFile());
        }
        Files.writeString(folder.resolve("broken.png"), "not a picture");
        Files.writeString(folder.resolve("notes.txt"), "timetable");
    }

    private List<String> names(String note) throws IOException {
        String file = "<xliff version=\"1.2\"><file original=\"a\" source-language=\"en\" target-language=\"de\""
                + " datatype=\"plaintext\"><body><trans-unit id=\"1\"><source>Pier</source><note>" + note
                + "</note></trans-unit></body></file></xliff>";
        Segment segment = FormatRegistry.ofInstalled()
                .open(Source.of("a.xlf", file.getBytes(StandardCharsets.UTF_8)), Progress.NONE)
                .document()
                .segments()
                .get(0);
        return new ContextPictures(folder)
                .of(segment).stream().map(each -> each.getFileName().toString()).toList();
    }

    @Test
    void aPictureBelongsToTheSegmentThatNamesIt() throws IOException {
        assertThat(names("See screens/timetable.png, top left")).containsExactly("Timetable.png");
        assertThat(names("Screen: Timetable")).containsExactly("Timetable.png");
        assertThat(names("timetable, tickets")).containsExactly("Timetable.png", "tickets.png");
    }

    @Test
    void aPartOfAWordNamesNothingNorDoesABrokenPicture() throws IOException {
        assertThat(names("All timetables, a list, broken.png")).isEmpty();
    }
}
