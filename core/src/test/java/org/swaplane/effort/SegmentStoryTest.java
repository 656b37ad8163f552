package org.swaplane.effort;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.document.State;

class SegmentStoryTest {
    private static SegmentStory.Change change(boolean prepares, String before, String after, String who) {
        return change(false, prepares, before, after, who);
    }

    private static SegmentStory.Change change(
            boolean earlier, boolean prepares, String before, String after, String who) {
        return new SegmentStory.Change(
                earlier,
                who,
                prepares,
                before,
                before.isEmpty() ? State.INITIAL : State.TRANSLATED,
                "",
                after,
                State.TRANSLATED,
                prepares ? "memory\t92\tlast-season.tmx" : "typed\t-1\t",
                "",
                7);
    }

    private static SegmentWork end(SegmentStory.Change... changes) {
        SegmentStory story = new SegmentStory(Content::of, origin -> origin.startsWith("memory"));
        for (SegmentStory.Change each : changes) {
            story.tell(each);
        }
        return story.end(1, 1, "key", story.words(), SegmentWork.Beginning.TRANSLATED, 0);
    }

    @Test
    void aTextIsComparedWithWhatTheWorkBeganWithAndNotWithTheVersionBefore() {
        SegmentWork work = end(
                change(false, "Fahrplan", "Fahrplan neu", "Mara"), change(false, "Fahrplan neu", "Fahrpläne", "Ines"));

        assertThat(work.outcome()).isEqualTo(SegmentWork.Outcome.EDITED);
        // Fahrplan → Fahrpläne: one letter replaced, one added; 7 of 9 stay.
        assertThat(work.distance()).isEqualTo(2);
        assertThat(work.similarity()).isEqualTo(77);
        assertThat(work.people()).containsExactly("Mara", "Ines");
        assertThat(work.versions()).isEqualTo(3);
        assertThat(work.words()).isEqualTo(7);
    }

    @Test
    void whatIsFilledBeforeIsTheBeginningAndWhatIsFilledLaterIsWork() {
        SegmentWork filled = end(change(true, "", "Abfahrt", "Mara"), change(false, "Abfahrt", "Abfahrten", "Mara"));
        SegmentWork later = end(change(false, "", "Abfahrt", "Mara"), change(true, "Abfahrt", "Abfahrten", "Mara"));

        assertThat(filled.outcome()).isEqualTo(SegmentWork.Outcome.EDITED);
        assertThat(filled.origin()).startsWith("memory");
        assertThat(later.outcome()).isEqualTo(SegmentWork.Outcome.ADDED);
    }

    @Test
    void onlyFillingIsNobodysWork() {
        SegmentStory story = new SegmentStory(Content::of, origin -> origin.startsWith("memory"));
        story.tell(change(true, "", "Abfahrt", "Mara"));

        assertThat(story.isWork()).isFalse();
    }

    @Test
    void aChangeThatIsTakenBackByHandLeavesTheTextUntouched() {
        SegmentWork work = end(change(false, "Pier 3", "Pier 4", "Mara"), change(false, "Pier 4", "Pier 3", "Mara"));

        assertThat(work.outcome()).isEqualTo(SegmentWork.Outcome.UNTOUCHED);
        assertThat(work.similarity()).isEqualTo(100);
        assertThat(work.versions()).isEqualTo(3);
    }

    @Test
    void withinAPeriodTheTextBeforeItIsTheBeginning() {
        SegmentWork work =
                end(change(true, false, "", "Abfahrt", "Ines"), change(false, "Abfahrt", "Abfahrten", "Mara"));

        assertThat(work.outcome()).isEqualTo(SegmentWork.Outcome.EDITED);
        assertThat(work.people()).containsExactly("Mara");
    }

    @Test
    void bandsHoldTheirBorders() {
        Bands bands = Bands.DEFAULT;

        assertThat(List.of(100, 99, 95, 94, 85, 84, 75, 74, 50, 49, 0))
                .extracting(bands::of)
                .containsExactly(0, 1, 1, 2, 2, 3, 3, 4, 4, 5, 5);
        assertThat(bands.names()).containsExactly("100", "95-99", "85-94", "75-84", "50-74", "0-49");
        assertThat(Bands.parse("100 80 0").orElseThrow().names()).containsExactly("100", "80-99", "0-79");
        assertThat(Bands.parse("80 90 0")).isEmpty();
        assertThat(Bands.parse("100 50")).isEmpty();
        assertThat(Bands.parse("many")).isEmpty();
    }

    @Test
    void speedIsOfSegmentsWithTimeAndMarksTheOnesFarOff() {
        List<SegmentWork> work = LongStream.of(4, 5, 6, 7, 8, 9, 10, 200, 0)
                .mapToObj(seconds -> new SegmentStory(Content::of, origin -> origin.startsWith("memory"))
                        .end(1, 1, "k" + seconds, 10, SegmentWork.Beginning.EMPTY, seconds * 1000))
                .toList();

        Speed speed = Speed.of(work);

        assertThat(speed.segments()).isEqualTo(8);
        assertThat(speed.medianMillis()).hasValue(7000);
        assertThat(speed.ninetiethMillis()).hasValue(200_000);
        // 80 words in 249 s.
        assertThat(speed.wordsPerHour().orElseThrow()).isBetween(1156.6, 1156.7);
        assertThat(work)
                .filteredOn(speed::isOutlier)
                .extracting(SegmentWork::key)
                .containsExactly("k200");
        assertThat(Speed.of(List.of()).wordsPerHour()).isEmpty();
    }

    @Test
    void whatBeginsWithNothingOrWithAMatchIsTranslationAndTheRestIsReview() {
        SegmentWork typed = end(change(false, "", "Abfahrt", "Mara"));
        SegmentWork filled = end(change(true, "", "Abfahrt", "Mara"), change(false, "Abfahrt", "Abfahrten", "Mara"));
        SegmentWork edited = end(change(false, "Abfahrt", "Abfahrten", "Mara"));
        SegmentWork emptied = end(change(false, "Abfahrt", "", "Mara"));

        assertThat(typed.activity()).isEqualTo(Activity.TRANSLATION);
        assertThat(filled.activity()).isEqualTo(Activity.TRANSLATION);
        assertThat(edited.activity()).isEqualTo(Activity.REVIEW);
        assertThat(emptied.activity()).isEqualTo(Activity.REVIEW);
    }
}
