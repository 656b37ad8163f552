package org.swaplane.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.demo.DemoLane;
import org.swaplane.task.Progress;

/** Skipped where no office program is there to render pages. */
class PagePicturesTest {
    @TempDir
    private Path folder;

    @Test
    void aDocumentIsSeenPageByPage() throws IOException {
        assumeThat(PagePictures.program()).as("there is no office program here").isPresent();
        Path leaflet = DemoLane.writeDocuments(folder).resolve("leaflet.docx");

        List<Path> pages = PagePictures.of(leaflet, folder.resolve("pages"), Progress.NONE);

        assertThat(pages).isNotEmpty();
        assertThat(ImageIO.read(pages.get(0).toFile()).getHeight()).isGreaterThan(500);
    }
}
