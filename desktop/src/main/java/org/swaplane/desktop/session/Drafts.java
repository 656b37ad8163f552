package org.swaplane.desktop.session;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.swaplane.desktop.text.Strings;
import org.swaplane.draft.DraftService;
import org.swaplane.draft.HttpDraftService;
import org.swaplane.draft.SimulatedDraftService;
import org.swaplane.lane.Drafting;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.OriginCounts;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;
import org.swaplane.task.CannotProceedException;

/**
 * Drafts by the service that the person set, for lanes whose texts may be sent there; no text leaves before that was said. All of it in
 * the background.
 */
public final class Drafts {
    /** The stand-in, where no address was set; also the name that its drafts carry. */
    public static final String SIMULATED = "simulated";

    private final LaneSession session;
    private SimulatedDraftService simulated;

    /**
     * What a file has.
     *
     * @param open segments that a draft would be a target for
     * @param words of their sources
     */
    public record Standing(Track track, int open, int words, OriginCounts origins) {}

    Drafts(LaneSession session) {
        this.session = session;
    }

    /** Where texts would go: an address, or {@link #SIMULATED}. */
    public String address() {
        String set = session.person().draftAddress();
        return set.isEmpty() ? SIMULATED : set;
    }

    /** Whether texts of this lane may be sent there. */
    public boolean isAllowed() {
        return session.lane().settings().draftConsent().equals(address());
    }

    public void allow(boolean allowed, Runnable done) {
        if (session.lane().isReadOnly()) {
            session.notify(Notification.Tone.FAILED, Strings.text("lane.read-only"));
            done.run();
            return;
        }
        String address = allowed ? address() : "";
        session.background()
                .run(
                        Strings.text("task.drafts"),
                        progress -> LaneWriter.await(session.lane().settings().setDraftConsent(address)),
                        kept -> done.run());
    }

    /** A service as people are told of it, by the name that its drafts carry. */
    public String words(String name) {
        return name.equals(SIMULATED) ? Strings.text("drafts.simulated") : name;
    }

    private synchronized DraftService service() {
        if (!isAllowed()) {
            throw new CannotProceedException("", "draft.not-allowed");
        }
        String address = address();
        if (!address.equals(SIMULATED)) {
            return new HttpDraftService("", address, session.person().draftKey());
        }
        try {
            if (simulated == null) {
                simulated = SimulatedDraftService.start("", SimulatedDraftService.Behaviour.DEFAULT);
            }
            return new HttpDraftService(SIMULATED, simulated.address(), "");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Drafts what is open in the file that is worked at. */
    public void draft(Consumer<Drafting.Outcome> done) {
        session.editing().endStep();
        TrackSnapshot track = session.snapshot();
        String who = session.editing().person();
        session.background()
                .ask(
                        Background.Asked.DRAFTS,
                        Strings.text("task.draft", track.name()),
                        progress -> new Drafting(session.lane(), service()).all(track, who, progress),
                        done);
    }

    /** A draft for one segment, which is offered and not yet written. */
    public void offer(TrackSnapshot track, int index, Consumer<Value> offered) {
        session.background()
                .ask(
                        Background.Asked.DRAFTS,
                        Strings.text("task.draft", track.name()),
                        progress -> new Drafting(session.lane(), service()).one(track, index, progress),
                        (Optional<Value> draft) -> draft.ifPresentOrElse(
                                offered,
                                () -> session.notify(Notification.Tone.FAILED, Strings.text("drafts.no-draft"))));
    }

    /** Makes a draft the target of a segment. */
    public void take(int index, Value draft) {
        if (!session.snapshot().segment(index).locked()) {
            session.editing().setTarget(index, draft, StepKind.DRAFTED);
        }
    }

    /** Takes out the drafts of a file that nobody has edited or reviewed. */
    public void clear(Runnable done) {
        session.editing().endStep();
        TrackSnapshot track = session.snapshot();
        String who = session.editing().person();
        session.background()
                .run(Strings.text("task.drafts"), progress -> Drafting.clear(session.lane(), track, who), cleared -> {
                    session.notify(Notification.Tone.DONE, Strings.text("drafts.cleared", cleared));
                    done.run();
                });
    }

    /** How the file that is worked at stands. */
    public void standing(Consumer<Standing> known) {
        TrackSnapshot track = session.snapshot();
        session.background()
                .read(
                        Strings.text("task.drafts"),
                        progress -> {
                            List<Integer> open = Drafting.open(track);
                            return new Standing(
                                    track.track(),
                                    open.size(),
                                    open.stream().mapToInt(track::words).sum(),
                                    OriginCounts.of(track));
                        },
                        known,
                        session::failed);
    }

    synchronized void close() {
        if (simulated != null) {
            simulated.close();
        }
    }
}
