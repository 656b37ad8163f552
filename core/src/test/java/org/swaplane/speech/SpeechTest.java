package org.swaplane.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.task.Progress;

class SpeechTest {
    private static final String TEXT = "The ferry leaves at 14:05, dear guests.";

    /** Cancelled as soon as so much has been heard. */
    private static Progress until(List<?> heard, int most) {
        return new Progress() {
            @Override
            public void at(long done, long total) {}

            @Override
            public boolean cancelled() {
                return heard.size() >= most;
            }
        };
    }

    @Test
    void theStandInReadsWordByWordAndStopsWhenAsked() throws Exception {
        List<String> heard = new ArrayList<>();
        Voice voice = new SilentVoice(Duration.ZERO);

        voice.read(TEXT, "en-GB", word -> heard.add(TEXT.substring(word.start(), word.end())), Progress.NONE);
        assertThat(heard).startsWith("The", "ferry", "leaves", "at").endsWith("dear", "guests");

        heard.clear();
        voice.read(TEXT, "en-GB", word -> heard.add(TEXT.substring(word.start(), word.end())), until(heard, 2));
        assertThat(heard).containsExactly("The", "ferry");
    }

    @Test
    void whatIsPreparedIsRecognisedWithItsSpacesUntilSomebodyStops() throws Exception {
        List<String> heard = new ArrayList<>();
        Dictation dictation = new PreparedDictation(" Die Fähre  fährt ", Duration.ZERO);

        dictation.listen("de-DE", heard::add, Progress.NONE);
        assertThat(String.join("", heard)).isEqualTo("Die Fähre fährt");

        heard.clear();
        dictation.listen("de-DE", heard::add, until(heard, 1));
        assertThat(heard).containsExactly("Die");
    }
}
