package org.swaplane.desktop.lanesettings;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.desktop.session.SessionBench;
import org.swaplane.lane.LaneDetail;

class LaneSettingsModelTest {
    @TempDir
    private Path folder;

    private SessionBench bench;
    private LaneSettingsModel model;

    @BeforeEach
    void open() {
        bench = SessionBench.ofDemo(folder);
        model = new LaneSettingsModel(bench.session);
    }

    @AfterEach
    void close() {
        bench.close();
    }

    @Test
    void whatIsSetIsTheLanesOwnAndCanBeReset() {
        assertThat(model.isOwn(LaneDetail.IDLE_LIMIT_SECONDS)).isFalse();
        assertThat(model.value(LaneDetail.IDLE_LIMIT_SECONDS)).isEqualTo("60");

        bench.run(() -> model.set(LaneDetail.IDLE_LIMIT_SECONDS, " 90 "));
        bench.until(() -> model.isOwn(LaneDetail.IDLE_LIMIT_SECONDS));
        assertThat(bench.session.lane().settings().idleLimit()).hasSeconds(90);

        bench.run(() -> model.reset(LaneDetail.IDLE_LIMIT_SECONDS));
        bench.until(() -> !model.isOwn(LaneDetail.IDLE_LIMIT_SECONDS));
        assertThat(bench.session.lane().settings().idleLimit()).hasSeconds(60);
    }

    @ParameterizedTest
    @CsvSource({"DUE, tomorrow", "DUE, 2026-13-01", "IDLE_LIMIT_SECONDS, 0", "IDLE_LIMIT_SECONDS, soon", "NAME, ''"})
    void whatCannotBeIsSaidAndTheValueBeforeStays(LaneDetail detail, String value) {
        String before = model.value(detail);

        assertThat(bench.on(() -> model.set(detail, value))).isFalse();

        assertThat(bench.message()).isNotBlank();
        assertThat(model.value(detail)).isEqualTo(before);
    }
}
