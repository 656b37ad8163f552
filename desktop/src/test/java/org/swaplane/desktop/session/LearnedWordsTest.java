package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.Finding;
import org.swaplane.check.Profile;
import org.swaplane.content.Content;

/** Words that the dictionary does not know, until somebody says that they are right. */
class LearnedWordsTest {
    private static final int FIRST_FERRY = 2;

    @TempDir
    private Path folder;

    private SessionBench bench;
    private LaneSession session;

    @BeforeEach
    void spellGerman() {
        bench = SessionBench.ofDemo(folder.resolve("lane"));
        session = bench.session;
        bench.run(() -> session.checking()
                .setProfile(session.checking().profile().withDictionaries(Map.of("de", Profile.SHIPPED))));
        bench.settle();
        bench.run(() -> session.editing().type(FIRST_FERRY, Content.of("Die erste Fähre um 06:40 Uhrr.")));
        bench.until(() -> isUnknown());
    }

    @AfterEach
    void close() {
        bench.close();
    }

    private boolean isUnknown() {
        return session.checking().open(FIRST_FERRY).stream().map(Finding::check).anyMatch("spelling"::equals);
    }

    @Test
    void theDictionarySaysWhatMayBeMeant() {
        List<String> words = new ArrayList<>();
        bench.run(() -> session.checking().suggestions("Uhrr", "de-DE", words::addAll));
        bench.settle();

        assertThat(words).contains("Uhr");
        assertThat(bench.on(() -> session.checking().hasDictionary("de-DE"))).isTrue();
        assertThat(bench.on(() -> session.checking().hasDictionary("fr-FR"))).isFalse();
    }

    @Test
    void aWordOfTheLaneIsRightInTheLane() {
        bench.run(() -> session.checking().learn("Uhrr", false));

        bench.until(() -> !isUnknown());
        assertThat(session.lane().settings().profile().keep()).contains("Uhrr");
    }

    @Test
    void aWordOfThePersonIsRightEverywhereAndStandsInNoLane() {
        bench.run(() -> session.checking().learn("Uhrr", true));

        bench.until(() -> !isUnknown());
        assertThat(session.person().words()).containsExactly("Uhrr");
        assertThat(session.lane().settings().profile().keep()).doesNotContain("Uhrr");
    }
}
