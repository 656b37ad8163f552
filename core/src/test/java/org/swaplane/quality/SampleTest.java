package org.swaplane.quality;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class SampleTest {
    private static List<Sample.Item> items(int count) {
        List<Sample.Item> items = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            items.add(new Sample.Item(i % 3, "key" + i, i % 12));
        }
        return items;
    }

    @Property(tries = 100)
    void theSameSeedDrawsTheSameWhateverTheOrder(
            @ForAll @IntRange(max = 300) int count, @ForAll @IntRange(max = 900) int words, @ForAll long seed) {
        List<Sample.Item> items = items(count);
        List<Sample.Item> shuffled = new ArrayList<>(items);
        Collections.shuffle(shuffled, new Random(seed));

        Sample sample = Sample.draw(items, words, seed);

        assertThat(Sample.draw(shuffled, words, seed).chosen()).containsExactlyInAnyOrderElementsOf(sample.chosen());
        assertThat(sample.chosen()).allMatch(item -> item.words() > 0).isSubsetOf(items);
        long all = items.stream().mapToLong(Sample.Item::words).sum();
        assertThat(sample.words()).isBetween(Math.min(words, all), (long) words + 11);
    }

    @Property(tries = 20)
    void everySegmentIsDrawnAboutAsOftenAsAnyOther(@ForAll @IntRange(max = 1000) int first) {
        List<Sample.Item> items = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            items.add(new Sample.Item(1, "key" + i, 1));
        }
        int[] drawn = new int[10];
        for (int seed = first; seed < first + 1000; seed++) {
            Sample.draw(items, 3, seed)
                    .chosen()
                    .forEach(item -> drawn[item.key().charAt(3) - '0']++);
        }

        // 300 are expected, with a standard deviation of 14.5.
        assertThat(Arrays.stream(drawn)).allMatch(times -> times > 220 && times < 380);
    }
}
