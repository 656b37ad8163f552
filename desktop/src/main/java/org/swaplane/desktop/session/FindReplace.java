package org.swaplane.desktop.session;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.swaplane.content.Content;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;
import org.swaplane.review.TextSearch;

/** Finds text in the segments of one file or of all, and replaces it in their targets: looked at first, then one step for each file. */
public final class FindReplace {
    /** As many as somebody looks at. */
    public static final int MOST = 1000;

    private final LaneSession session;

    /** Where it is looked for. */
    public enum Scope {
        /** The segments that the filter leaves in. */
        LISTED,
        FILE,
        /** All files in the language of this one. */
        LANGUAGE
    }

    /**
     * A place that was found.
     *
     * @param replaced the target with what takes its place; empty where it is not in a target that can be changed
     */
    public record Place(TextSearch.Hit hit, Content replaced) {
        public boolean isReplaceable() {
            return !replaced.isEmpty();
        }
    }

    FindReplace(LaneSession session) {
        this.session = session;
    }

    /** @param by what takes its place */
    public void find(TextSearch search, String by, Scope scope, List<Integer> listed, Consumer<List<Place>> found) {
        session.editing().endStep();
        TrackSnapshot here = session.snapshot();
        List<Track> tracks = scope == Scope.LANGUAGE ? ofLanguage() : List.of(here.track());
        session.background()
                .read(
                        Strings.text("task.find", search.text()),
                        progress -> {
                            List<Place> places = new ArrayList<>();
                            for (Track track : tracks) {
                                TrackSnapshot now = track == here.track() ? here : track.now(progress);
                                List<Integer> within = scope == Scope.LISTED
                                        ? listed
                                        : IntStream.range(0, now.size()).boxed().toList();
                                search.in(now, within, session.lane().notes().of(track), MOST - places.size(), progress)
                                        .forEach(hit -> places.add(new Place(hit, replaced(search, hit, by))));
                            }
                            return places;
                        },
                        found,
                        session::failed);
    }

    private List<Track> ofLanguage() {
        String language = session.track().summary().targetLanguage();
        return session.lane().tracks().stream()
                .filter(track -> track.summary().targetLanguage().equals(language))
                .toList();
    }

    private static Content replaced(TextSearch search, TextSearch.Hit hit, String by) {
        Content target = hit.track().target(hit.index());
        boolean writable = hit.inTarget() && !hit.track().value(hit.index()).locked();
        Content replaced = writable ? search.replaced(target, by) : Content.EMPTY;
        return replaced.equals(target) ? Content.EMPTY : replaced;
    }

    /** Replaces what was looked at; a segment that was changed meanwhile is left as it is. */
    public void replace(List<Place> places, Runnable done) {
        if (session.lane().isReadOnly()) {
            session.notify(Notification.Tone.FAILED, Strings.text("lane.read-only"));
            return;
        }
        Map<TrackSnapshot, Map<Integer, Value>> edits = new LinkedHashMap<>();
        places.stream().filter(Place::isReplaceable).forEach(place -> edits.computeIfAbsent(
                        place.hit().track(), any -> new LinkedHashMap<>())
                .put(place.hit().index(), Value.written(place.replaced())));
        String who = session.editing().person();
        session.background()
                .run(
                        Strings.text("task.replace"),
                        progress -> {
                            int changed = 0;
                            for (Map.Entry<TrackSnapshot, Map<Integer, Value>> each : edits.entrySet()) {
                                EditRequest request =
                                        EditRequest.of(each.getKey(), StepKind.REPLACED, who, each.getValue());
                                int conflicts = LaneWriter.await(
                                                session.lane().writer().edit(request))
                                        .conflicts()
                                        .size();
                                changed += each.getValue().size() - conflicts;
                            }
                            return changed;
                        },
                        changed -> {
                            session.notify(Notification.Tone.DONE, Strings.text("replace.done", changed));
                            done.run();
                        });
    }
}
