package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.lane.Value;

/** No text goes to a draft service before somebody said so, for this lane and this service. */
class DraftsTest {
    private static final int EMPTY = 12;

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

    private List<Value> offered() {
        List<Value> offered = new ArrayList<>();
        bench.run(() -> session.drafts().offer(session.snapshot(), EMPTY, offered::add));
        bench.settle();
        return offered;
    }

    private void allow(boolean allowed) {
        bench.run(() -> session.drafts().allow(allowed, () -> {}));
        bench.settle();
    }

    @Test
    void withoutConsentNothingIsAskedAndThatIsSaid() {
        assertThat(offered()).isEmpty();
        assertThat(bench.message()).contains("may not be sent");

        allow(true);
        List<Value> offered = offered();
        assertThat(offered).hasSize(1);
        bench.run(() -> session.drafts().take(EMPTY, offered.get(0)));
        bench.settle();
        assertThat(bench.on(() -> session.snapshot().value(EMPTY).isDraft())).isTrue();

        allow(false);
        assertThat(offered()).isEmpty();
    }

    @Test
    void consentIsForOneServiceOnly() {
        allow(true);
        bench.run(() -> session.person().setDraftAddress("https://drafts.example"));
        assertThat(bench.on(() -> session.drafts().isAllowed())).isFalse();

        bench.run(() -> session.person().setDraftAddress("http://192.0.2.9"));
        allow(true);
        assertThat(offered()).isEmpty();
        assertThat(bench.message()).contains("encryption");
    }
}
