package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.State;
import org.swaplane.review.SegmentFilter;
import org.swaplane.review.SegmentFilter.Trait;

/** A filter as people call it. */
record NamedFilter(String name, SegmentFilter filter) {
    /** Those that everybody has, then the person's own. */
    static List<NamedFilter> all(PersonSettings person) {
        List<NamedFilter> all = new ArrayList<>(List.of(
                new NamedFilter(Strings.text("filter.all"), SegmentFilter.ALL),
                of("filter.open", Trait.OPEN),
                new NamedFilter(Strings.text("filter.initial"), SegmentFilter.of(State.INITIAL)),
                new NamedFilter(Strings.text("filter.translated"), SegmentFilter.of(State.TRANSLATED)),
                new NamedFilter(Strings.text("filter.reviewed"), SegmentFilter.of(State.REVIEWED)),
                new NamedFilter(Strings.text("filter.final"), SegmentFilter.of(State.FINAL)),
                of("filter.empty", Trait.EMPTY),
                of("filter.prefilled", Trait.PREFILLED),
                of("filter.drafts", Trait.DRAFT),
                of("filter.findings", Trait.FINDING),
                of("filter.changed", Trait.CHANGED),
                of("filter.source-changed", Trait.SOURCE_CHANGED),
                of("filter.repeated", Trait.REPEATED),
                of("filter.proposals", Trait.PROPOSAL),
                of("filter.notes", Trait.NOTE),
                of("filter.own-notes", Trait.OWN_NOTE),
                of("filter.bookmarks", Trait.BOOKMARK),
                of("filter.limited", Trait.LIMITED),
                of("filter.locked", Trait.LOCKED)));
        own(person).forEach((name, filter) -> all.add(new NamedFilter(name, filter)));
        return all;
    }

    private static NamedFilter of(String key, Trait trait) {
        return new NamedFilter(Strings.text(key), SegmentFilter.of(trait));
    }

    private static Map<String, SegmentFilter> own(PersonSettings person) {
        Map<String, SegmentFilter> own = new TreeMap<>();
        person.filters().forEach((name, json) -> SegmentFilter.ofJson(json).ifPresent(filter -> own.put(name, filter)));
        return own;
    }

    /** What a filter is called, where it is none of those that have a name. */
    static NamedFilter of(SegmentFilter filter, PersonSettings person) {
        return all(person).stream()
                .filter(each -> each.filter().equals(filter))
                .findFirst()
                .orElseGet(() -> new NamedFilter(Strings.text("filter.own"), filter));
    }
}
