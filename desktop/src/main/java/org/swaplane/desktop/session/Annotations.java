package org.swaplane.desktop.session;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.OwnNote;
import org.swaplane.lane.SegmentNotes;
import org.swaplane.lane.SegmentRemark;
import org.swaplane.lane.SourceVersion;
import org.swaplane.lane.Track;
import org.swaplane.review.FilteredSegments;

/** Notes and bookmarks at the segments of the chosen track. */
public final class Annotations {
    private final LaneSession session;
    private Loaded loaded = Loaded.NOTHING;

    private record Loaded(Track track, Map<String, List<OwnNote>> notes, Set<String> bookmarks, String versionBefore) {
        private static final Loaded NOTHING = new Loaded(null, Map.of(), Set.of(), "");
    }

    Annotations(LaneSession session) {
        this.session = session;
    }

    private SegmentNotes notes() {
        return session.lane().notes();
    }

    /** Reads those of the chosen track in the background, and tells whoever shows them. */
    void load() {
        Track of = session.track();
        session.background()
                .read(
                        Strings.text("task.notes"),
                        progress -> new Loaded(
                                of,
                                notes().of(of).stream().collect(Collectors.groupingBy(OwnNote::key)),
                                notes().bookmarks(of),
                                versionBefore(of)),
                        read -> {
                            if (read.track() == session.track()) {
                                loaded = read;
                                session.changed(Topic.NOTES);
                            }
                        },
                        session::failed);
    }

    private String versionBefore(Track of) {
        return session.lane().trackStore().versions().of(of).stream()
                .filter(each -> each.number() == of.version().number() - 1)
                .map(SourceVersion::name)
                .findFirst()
                .orElse("");
    }

    /** What filters ask for besides the segments, with the ids of the checks that found something. */
    public FilteredSegments.Known known(Map<Integer, Set<String>> checks) {
        return new FilteredSegments.Known(
                checks,
                here().notes().values().stream().flatMap(List::stream).toList(),
                here().bookmarks(),
                session.lane().trips().remarks(session.track().id()).stream()
                        .map(SegmentRemark::key)
                        .collect(Collectors.toSet()),
                here().versionBefore());
    }

    private Loaded here() {
        return loaded.track() == session.track() ? loaded : Loaded.NOTHING;
    }

    public boolean isBookmarked(String key) {
        return here().bookmarks().contains(key);
    }

    /** The notes at a segment, oldest first. */
    public List<OwnNote> of(String key) {
        return here().notes().getOrDefault(key, List.of());
    }

    /** Adds a note to the segment with a key; {@code start} is -1, like {@code end}, for the whole segment. */
    public void add(String key, int start, int end, String text) {
        change(() -> notes().add(
                        session.track(),
                        key,
                        start,
                        end,
                        text,
                        session.editing().person()));
    }

    public void answer(OwnNote note, String text) {
        change(() ->
                notes().answer(session.track(), note, text, session.editing().person()));
    }

    public void settle(OwnNote note, boolean settled) {
        change(() -> notes().settle(session.track(), note, settled));
    }

    public void remove(OwnNote note) {
        change(() -> notes().remove(session.track(), note));
    }

    /** Sets a bookmark at a segment, or takes it away. */
    public void toggleBookmark(String key) {
        change(() -> notes().toggleBookmark(session.track(), key));
    }

    private void change(Supplier<CompletableFuture<Void>> change) {
        if (session.lane().isReadOnly()) {
            session.notify(Notification.Tone.FAILED, Strings.text("lane.read-only"));
        } else {
            change.get().whenComplete(session::sayFailure);
        }
    }
}
