package org.swaplane.memory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.constraints.Size;

class LongSetTest {
    @Property(tries = 100)
    void saysWhatASetSays(@ForAll @Size(max = 3000) List<@LongRange(min = -1500, max = 1500) Long> values) {
        LongSet set = new LongSet();
        Set<Long> known = new HashSet<>();

        assertThat(values).allSatisfy(value -> assertThat(set.add(value)).isEqualTo(known.add(value)));
    }
}
