package org.swaplane.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.document.ForeignItem;

/** Counts the foreign attributes and elements of a file and their values, in bounded memory. */
final class ForeignTally {
    private static final int MOST_ITEMS = 500;
    private static final int MOST_VALUES = 50;
    private static final int LONGEST_VALUE = 120;

    private final Map<Name, Count> counts = new LinkedHashMap<>();

    private record Name(String namespace, String element, String attribute) {}

    private static final class Count {
        private final Map<String, Integer> values = new LinkedHashMap<>();
        private int count;
    }

    void add(String namespace, String element, String attribute, String value) {
        Name name = new Name(namespace, element, attribute);
        Count count = counts.get(name);
        if (count == null) {
            if (counts.size() == MOST_ITEMS) {
                return;
            }
            count = new Count();
            counts.put(name, count);
        }
        count.count++;
        boolean room = count.values.size() < MOST_VALUES && value.length() <= LONGEST_VALUE;
        if (room || count.values.containsKey(value)) {
            count.values.merge(value, 1, Integer::sum);
        }
    }

    List<ForeignItem> items() {
        List<ForeignItem> items = new ArrayList<>();
        counts.forEach((name, count) -> items.add(
                new ForeignItem(name.namespace(), name.element(), name.attribute(), count.values, count.count)));
        return items;
    }
}
