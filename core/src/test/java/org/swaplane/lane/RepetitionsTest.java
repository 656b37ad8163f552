package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.State;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class RepetitionsTest {
    @TempDir
    private Path folder;

    private static final String FILE =
            "<xliff version='1.2'><file original='a' source-language='en' target-language='de'><body>"
                    + "<trans-unit id='0'><source>Go to <x id='1'/></source><target>Weiter zu <x id='1'/></target></trans-unit>"
                    + "<trans-unit id='1'><source>Go to <x id='7'/></source></trans-unit>"
                    + "<trans-unit id='2'><source>Go  to <x id='1'/> </source><target>alt</target></trans-unit>"
                    + "<trans-unit id='3' translate='no'><source>Go to <x id='1'/></source></trans-unit>"
                    + "<trans-unit id='4' approved='yes'><source>Go to <x id='1'/></source><target>fest</target></trans-unit>"
                    + "<trans-unit id='5'><source>Go to <x id='1'/></source><target>Weiter zu <x id='1'/></target></trans-unit>"
                    + "<trans-unit id='6'><source><x id='1'/> Go to</source></trans-unit>"
                    + "</body></file></xliff>";

    @Test
    void openSegmentsWithTheSameSourceGetTheTargetWithTagsOfTheirOwn() throws IOException {
        try (Lane lane = Lane.create(folder, "x", FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            Track track =
                    lane.trackStore().takeIn(Source.of("a.xlf", FILE.getBytes(StandardCharsets.UTF_8)), Progress.NONE);

            Map<Integer, Value> edits = Repetitions.propagated(track.now(), 0, false);

            assertThat(edits).containsOnlyKeys(1, 2);
            Content second = edits.get(1).target();
            assertThat(TagNotation.write(second, track.now().segment(1).source()))
                    .isEqualTo("Weiter zu ⟦1/⟧");
            assertThat(second.tags().get(0).code()).isEqualTo("<x id='7'/>");
            assertThat(edits.get(2).state()).isEqualTo(State.TRANSLATED);
            assertThat(Repetitions.propagated(track.now(), 1, false)).isEmpty();
            assertThat(Repetitions.propagated(track.now(), 0, true)).containsOnlyKeys(1);
            assertThat(Repetitions.of(track.now(), 1)).contains(0, 1, 2);
        }
    }
}
