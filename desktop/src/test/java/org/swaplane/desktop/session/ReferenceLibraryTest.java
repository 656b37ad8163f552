package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.document.State;
import org.swaplane.lane.ReferenceFiles;
import org.swaplane.lane.ReferenceHit;
import org.swaplane.memory.MemoryQuery;

class ReferenceLibraryTest {
    @TempDir
    private Path folder;

    private SessionBench bench;
    private LaneSession session;

    @BeforeEach
    void open() {
        bench = SessionBench.ofDemo(folder.resolve("lane"));
        session = bench.session;
    }

    @AfterEach
    void close() {
        bench.close();
    }

    private List<ReferenceHit> find(String words, String file) {
        List<ReferenceHit> found = new ArrayList<>();
        bench.run(() -> session.library().find(MemoryQuery.ofWords(words, false), file, found::addAll));
        bench.settle();
        return found;
    }

    @Test
    void aHitOfAFileThatCameLeadsToTheFileAndThenIsGoneWithIt() throws Exception {
        Path csv = Files.writeString(folder.resolve("kiosk.csv"), "en,de\nThe kiosk is closed.,Der Kiosk ist zu.\n");
        bench.run(() -> session.library().add(List.of(csv), () -> {}));
        bench.settle();
        ReferenceHit hit = find("kiosk", "kiosk.csv").get(0);
        List<URI> opened = new ArrayList<>();

        bench.run(() -> session.library().show(hit, opened::add));
        bench.settle();
        assertThat(opened).containsExactly(csv.toAbsolutePath().toUri());

        bench.run(() -> session.library().setRole("kiosk.csv", ReferenceFiles.Role.APPROVED, () -> {}));
        bench.settle();
        assertThat(find("kiosk", "")).first().extracting(ReferenceHit::role).isEqualTo(ReferenceFiles.Role.APPROVED);

        Files.delete(csv);
        bench.run(() -> session.library().show(hit, opened::add));
        bench.settle();
        assertThat(bench.message()).contains("kiosk.csv");
        bench.run(() -> session.library().remove("kiosk.csv", () -> {}));
        bench.settle();
        assertThat(find("kiosk", "kiosk.csv")).isEmpty();
    }

    @Test
    void aHitOfWhatWasReviewedHereLeadsToItsSegment() {
        bench.run(() -> session.editing().setState(3, State.REVIEWED));
        bench.settle();
        String words = bench.on(() -> session.snapshot().segment(3).source().plainText());
        List<ReferenceHit> found = new ArrayList<>();
        bench.until(() -> {
            if (found.isEmpty()) {
                session.library()
                        .find(MemoryQuery.ofWords(words, false), session.track().name(), found::addAll);
            }
            return !found.isEmpty();
        });

        bench.run(() -> session.library().show(found.get(0), address -> {}));
        bench.until(() -> session.viewProperty().get().equals(ViewId.REVIEW));

        assertThat(bench.on(() -> session.currentProperty().get())).isEqualTo(3);
    }
}
