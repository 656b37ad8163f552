package org.swaplane.desktop;

import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.session.ViewId;

/** Where somebody was in a lane: the view, the track and the segment. */
final class LanePlace {
    private LanePlace() {}

    static void remember(LaneSession session, PersonSettings person) {
        if (session.track() != null) {
            person.setPlace(
                    session.lane().settings().id(),
                    session.viewProperty().get().name() + " " + session.track().id() + " "
                            + session.currentProperty().get());
        }
    }

    static void restore(LaneSession session, PersonSettings person) {
        String[] place = person.place(session.lane().settings().id()).split(" ");
        if (place.length != 3) {
            return;
        }
        session.lane().tracks().stream()
                .filter(track -> String.valueOf(track.id()).equals(place[1]))
                .findFirst()
                .ifPresent(track -> session.choose(track, Integer.parseInt(place[2])));
        Views.ALL.stream()
                .map(descriptor -> descriptor.id())
                .filter(id -> id.name().equals(place[0]))
                .findFirst()
                .ifPresent((ViewId id) -> session.viewProperty().set(id));
    }
}
