package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.intake.Arrival;
import org.swaplane.lane.Track;

class IntakesTest {
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

    private Path table(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), "en-GB,de-DE\n" + text + ",Text\n");
    }

    private List<Arrival> receive(Path... files) {
        bench.run(() -> session.intakes().receive(List.of(files)));
        bench.until(() -> session.intakes().property().get() != null);
        bench.settle();
        return session.intakes().property().get().arrivals();
    }

    private long kept() throws IOException {
        try (var files = Files.list(folder.resolve("lane").resolve("files"))) {
            return files.count();
        }
    }

    @Test
    void whatIsAddedIsTheFileThatWasLookedAtAlsoWhenTheSendersIsGone() throws IOException {
        Path fares = table("fares.csv", "One ferry");
        List<Arrival> arrived = receive(fares);
        Files.writeString(fares, "something else");

        bench.run(() -> session.intakes().accept(arrived));
        bench.settle();

        assertThat(session.track().name()).isEqualTo("fares.csv");
        assertThat(session.snapshot().segment(0).source().plainText()).isEqualTo("One ferry");
        assertThat(session.intakes().property().get()).isNull();
        assertThat(bench.message()).startsWith("1 file added.");
    }

    @Test
    void whatIsDismissedLeavesNothingInTheLane() throws IOException {
        long before = kept();
        receive(table("a.csv", "One"), table("b.csv", "Two"));

        bench.run(session.intakes()::leave);
        bench.settle();

        assertThat(kept()).isEqualTo(before);
        assertThat(session.lane().tracks()).hasSize(5);
    }

    @Test
    void aFileThatIsThereAlreadyIsSaidAndTheOthersAreAdded() throws IOException {
        Path first = table("first.csv", "One");
        List<Arrival> once = receive(first);
        bench.run(() -> session.intakes().accept(once));
        bench.settle();
        List<Arrival> again = receive(first, table("second.csv", "Two"));

        bench.run(() -> session.intakes().accept(again));
        bench.settle();

        assertThat(session.lane().tracks()).extracting(Track::name).contains("second.csv");
        assertThat(bench.message()).contains("already in the lane");
    }
}
