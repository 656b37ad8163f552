package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Lock;
import org.swaplane.document.State;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.extension.Meaning;
import org.swaplane.extension.ReadingRule;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Locking, proposals, copies of the source, foreign attributes: what the journal records besides typing. */
class SegmentOperationsTest {
    private static final String FILE = """
            <xliff version="1.2" xmlns="urn:oasis:names:tc:xliff:document:1.2" xmlns:t="urn:marram:tool">
            <file original="a" source-language="en" datatype="x"><body>
            <trans-unit id="1"><source>Pier <x id="1"/></source><alt-trans><target><x id="9"/>Steg <x id="1"/></target></alt-trans></trans-unit>
            <trans-unit id="2" t:frozen="yes"><source>Deck</source></trans-unit>
            <trans-unit id="3"><source>Bow</source><target state="final">Bow</target></trans-unit>
            <trans-unit id="4"><source>Bow</source><target>Bow</target></trans-unit>
            <trans-unit id="5" translate="no"><source>Bow</source><target>Bow</target></trans-unit>
            </body></file></xliff>
            """;

    @TempDir
    private Path folder;

    private Lane lane;

    @BeforeEach
    void create() throws IOException {
        lane = Lane.create(folder, "Marram Sound Ferries", FormatRegistry.ofInstalled(), Clock.systemUTC());
        lane.trackStore()
                .takeIn(
                        Source.of("a.xlf", FILE.getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("", "de"),
                        Progress.NONE);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private Track track() {
        return lane.tracks().get(0);
    }

    private void reopen() throws IOException {
        lane.close();
        lane = Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    private String written() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        track().now().write(out, Progress.NONE);
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void theTargetLanguageThatWasAskedForIsKnownAfterARestartAndWritten() throws IOException {
        reopen();

        new Work(lane, track()).type("Mara", 1, new Value(Content.of("Deck"), State.TRANSLATED));

        assertThat(track().now().document().targetLanguage()).isEqualTo("de");
        assertThat(written()).contains("source-language=\"en\" datatype=\"x\" target-language=\"de\">");
    }

    @Test
    void aLockedSegmentRefusesEditsUntilItIsUnlocked() throws IOException {
        new Work(lane, track()).lock("Mara", List.of(0), true);
        reopen();

        assertThat(track().now().segment(0).lock()).isEqualTo(Lock.LANE);
        assertThat(written()).contains("<trans-unit id=\"1\" translate=\"no\">");
        assertThatThrownBy(() -> new Work(lane, track()).type("Mara", 0, new Value(Content.of("x"), State.TRANSLATED)))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("Unlock it first");
        new Work(lane, track()).undo();
        new Work(lane, track()).type("Mara", 0, new Value(Content.of("x"), State.TRANSLATED));
        assertThat(track().now().target(0)).isEqualTo(Content.of("x"));
    }

    @Test
    void aSegmentThatTheFileLocksCanBeUnlocked() throws IOException {
        new Work(lane, track()).lock("Mara", List.of(4), false);

        assertThat(track().now().segment(4).locked()).isFalse();
        assertThat(written()).contains("<trans-unit id=\"5\" translate=\"yes\">");
        assertThat(track().history(track().now().segment(4).key()))
                .extracting(HistoryEntry::kind)
                .containsExactly(StepKind.UNLOCKED);
    }

    @Test
    void aReadingRuleLocksWhateverWasEditedBeforeAndCannotBeUnlocked() throws IOException {
        new Work(lane, track()).type("Mara", 1, new Value(Content.of("Deck"), State.TRANSLATED));
        ReadingRule rule = new ReadingRule("urn:marram:tool", "trans-unit", "frozen", "yes", Meaning.LOCKED);

        lane.trackStore().setRules(ExtensionRules.NONE.with(rule), Progress.NONE);
        reopen();

        assertThat(track().now().segment(1).lock()).isEqualTo(Lock.RULE);
        assertThat(written()).doesNotContain("translate=\"yes\"");
        assertThatThrownBy(() -> new Work(lane, track()).lock("Mara", List.of(1), false))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("reading rule");
    }

    @Test
    void aProposalBecomesTheTargetWithTheTagsOfTheSource() {
        Content target = Proposals.target(track().now().segment(0), 0).orElseThrow();

        assertThat(TagNotation.write(target, track().now().segment(0).source())).isEqualTo("Steg ⟦1/⟧");
        assertThat(Proposals.target(track().now().segment(0), 1)).isEmpty();
    }

    @Test
    void copiesOfTheSourceAreClearedButNeverLockedOnesAndReviewedOnesOnlyWhenAskedFor() {
        assertThat(SourceCopies.cleared(track().now(), false).keySet()).containsExactly(3);
        assertThat(SourceCopies.cleared(track().now(), true).keySet()).containsExactly(2, 3);
    }
}
