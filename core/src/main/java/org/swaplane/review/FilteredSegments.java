package org.swaplane.review;

import com.ibm.icu.text.CollationKey;
import com.ibm.icu.text.Collator;
import com.ibm.icu.util.ULocale;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.swaplane.content.Content;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.lane.OwnNote;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** The segments of a track that a filter leaves in, in its order. Finding them takes as long as the track is large. */
public final class FilteredSegments {
    private static final Pattern DIGIT = Pattern.compile("\\p{Nd}");
    private static final int OFTEN = 512;

    private final TrackSnapshot track;
    private final Known known;

    /**
     * What is known of the segments besides.
     *
     * @param checks ids of the checks that found something, by the position of the segment
     * @param notes of people here
     * @param bookmarks keys of segments
     * @param remarked keys of segments that a recipient noted something at
     * @param previous name of the version of the source before; empty for none
     */
    public record Known(
            Map<Integer, Set<String>> checks,
            List<OwnNote> notes,
            Set<String> bookmarks,
            Set<String> remarked,
            String previous) {
        public static final Known NOTHING = new Known(Map.of(), List.of(), Set.of(), Set.of(), "");
    }

    public FilteredSegments(TrackSnapshot track, Known known) {
        this.track = track;
        this.known = known;
    }

    /**
     * Positions in the track.
     *
     * @throws CannotProceedException when the filter has a date that is none
     */
    public List<Integer> of(SegmentFilter filter, Progress progress) {
        List<IntPredicate> wanted = wanted(filter);
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < track.size(); i++) {
            if (i % OFTEN == 0) {
                progress.checkCancelled();
                progress.at(i, track.size());
            }
            int index = i;
            if (wanted.stream().allMatch(each -> each.test(index))) {
                found.add(i);
            }
        }
        sort(found, filter.order());
        return found;
    }

    private void sort(List<Integer> found, SegmentFilter.Order order) {
        switch (order) {
            case DOCUMENT -> {} // that is how they come
            case SOURCE -> {
                Collator collator = Collator.getInstance(
                        ULocale.forLanguageTag(track.size() == 0 ? "en" : track.sourceLanguage(0)));
                Map<Integer, CollationKey> keys = new HashMap<>();
                found.forEach(index -> keys.put(
                        index,
                        collator.getCollationKey(track.segment(index).source().plainText())));
                found.sort(Comparator.comparing(keys::get));
            }
            case LENGTH ->
                found.sort(Comparator.comparingInt((Integer index) -> length(index))
                        .reversed());
            case STATE -> found.sort(Comparator.comparing(track::state));
            case SCORE ->
                found.sort(Comparator.comparingInt(index -> score(index) < 0 ? Integer.MAX_VALUE : score(index)));
        }
    }

    private int length(int index) {
        return track.segment(index).source().plainText().length();
    }

    /** Of the match that the target is from, else as the file holds it to be. */
    private int score(int index) {
        int score = track.value(index).origin().score();
        return score >= 0 ? score : track.segment(index).about().score();
    }

    private List<IntPredicate> wanted(SegmentFilter filter) {
        List<IntPredicate> wanted = new ArrayList<>();
        if (!filter.states().isEmpty()) {
            wanted.add(index -> filter.states().contains(track.state(index)));
        }
        if (!filter.origins().isEmpty()) {
            wanted.add(index -> !track.target(index).isEmpty()
                    && filter.origins().contains(track.value(index).origin().kind()));
        }
        filter.traits().forEach(trait -> wanted.add(has(trait)));
        if (!filter.person().isBlank()) {
            Set<String> keys = track.track().changedBy(filter.person());
            wanted.add(index -> keys.contains(track.segment(index).key()));
        }
        if (!filter.since().isBlank()) {
            Set<String> keys = track.track().changedSince(day(filter.since()));
            wanted.add(index -> keys.contains(track.segment(index).key()));
        }
        if (!filter.score().equals(SegmentFilter.Range.ANY)) {
            wanted.add(index -> filter.score().holds(score(index)));
        }
        if (!filter.length().equals(SegmentFilter.Range.ANY)) {
            wanted.add(index -> filter.length().holds(length(index)));
        }
        if (!filter.check().isEmpty()) {
            wanted.add(index -> known.checks().getOrDefault(index, Set.of()).contains(filter.check()));
        }
        String text = filter.text().strip().toLowerCase(Locale.ROOT);
        if (!text.isEmpty()) {
            wanted.add(index -> has(track.segment(index).source(), text) || has(track.target(index), text));
        }
        return wanted;
    }

    private static boolean has(Content content, String text) {
        return content.plainText().toLowerCase(Locale.ROOT).contains(text);
    }

    /** The first moment of a day, as people here count days. */
    private static Instant day(String written) {
        try {
            return LocalDate.parse(written.strip())
                    .atStartOfDay(ZoneId.systemDefault())
                    .toInstant()
                    .minusMillis(1);
        } catch (DateTimeException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place("", 0, 0), Phrase.of("problem.no-date", written), e);
        }
    }

    private IntPredicate has(SegmentFilter.Trait trait) {
        return switch (trait) {
            case OPEN -> track::isOpen;
            case EMPTY -> index -> track.target(index).isEmpty();
            case LOCKED -> index -> track.value(index).locked();
            case UNLOCKED -> index -> !track.value(index).locked();
            case PREFILLED ->
                index -> !track.value(index).locked()
                        && track.target(index).sameAs(track.segment(index).source());
            case DRAFT -> index -> track.value(index).isDraft();
            case PROPOSAL -> index -> !track.segment(index).proposals().isEmpty();
            case NOTE ->
                index -> !track.segment(index).notes().isEmpty()
                        || known.remarked().contains(track.segment(index).key());
            case OWN_NOTE -> {
                Set<String> open = known.notes().stream()
                        .filter(note -> !note.settled())
                        .map(OwnNote::key)
                        .collect(Collectors.toSet());
                yield index -> open.contains(track.segment(index).key());
            }
            case BOOKMARK ->
                index -> known.bookmarks().contains(track.segment(index).key());
            case FINDING -> known.checks()::containsKey;
            case REPEATED -> repeated()::contains;
            case TAGS -> index -> !track.segment(index).source().tags().isEmpty();
            case NUMBERS ->
                index ->
                        DIGIT.matcher(track.segment(index).source().plainText()).find();
            case LIMITED -> index -> !track.segment(index).limits().isNone();
            case CHANGED ->
                index -> !track.target(index)
                        .equals(track.document().segments().get(index).target());
            case SOURCE_CHANGED -> index -> sourceChanged(track.segment(index));
        };
    }

    private boolean sourceChanged(Segment segment) {
        return !known.previous().isEmpty()
                && segment.proposals().stream()
                        .anyMatch(each -> each.origin().equals(known.previous())
                                && !each.source().sameAs(segment.source()));
    }

    private Set<Integer> repeated() {
        Map<String, Integer> first = new HashMap<>();
        Set<Integer> repeated = new HashSet<>();
        IntStream.range(0, track.size()).forEach(index -> {
            Integer before =
                    first.putIfAbsent(Fingerprint.of(track.segment(index).source()), index);
            if (before != null) {
                repeated.add(before);
                repeated.add(index);
            }
        });
        return repeated;
    }
}
