package org.swaplane.desktop.lanesettings;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Strings;
import org.swaplane.effort.Bands;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneSettings;
import org.swaplane.memory.WordWeights;
import org.swaplane.release.FileNaming;
import org.swaplane.task.CannotProceedException;

/** The details of the lane: what holds, whether the lane says it itself, and what may be written there. */
final class LaneSettingsModel {
    private final LaneSession session;

    LaneSettingsModel(LaneSession session) {
        this.session = session;
    }

    private LaneSettings settings() {
        return session.lane().settings();
    }

    String value(LaneDetail detail) {
        return switch (detail) {
            case PERSON -> settings().person();
            case INITIALS -> settings().initials();
            default -> settings().detail(detail);
        };
    }

    /** Whether the lane says it itself, so that it can be reset. */
    boolean isOwn(LaneDetail detail) {
        return settings().own(detail).isPresent();
    }

    boolean isReadOnly() {
        return session.lane().isReadOnly();
    }

    /** Sets a detail, unless it is the same or cannot be, which is said then; whether it holds now. */
    boolean set(LaneDetail detail, String typed) {
        String value = typed.strip();
        if (value.equals(value(detail))) {
            return true;
        }
        Optional<String> fault = fault(detail, value);
        if (fault.isPresent()) {
            session.notify(Notification.Tone.FAILED, fault.get());
            return false;
        }
        session.set(detail, value);
        return true;
    }

    void reset(LaneDetail detail) {
        session.reset(detail);
    }

    /** What is wrong with a value. */
    static Optional<String> fault(LaneDetail detail, String value) {
        return switch (detail) {
            case NAME -> value.isEmpty() ? Optional.of(Strings.text("lanes.name-needed")) : Optional.empty();
            case DUE -> isDate(value) ? Optional.empty() : Optional.of(Strings.text("lane.fault.due", value));
            case IDLE_LIMIT_SECONDS ->
                value.matches("[1-9]\\d{0,4}")
                        ? Optional.empty()
                        : Optional.of(Strings.text("lane.fault.idle-limit", value));
            case EDIT_BANDS ->
                Bands.parse(value).isPresent()
                        ? Optional.empty()
                        : Optional.of(Strings.text("lane.fault.edit-bands", value, LaneDetail.EDIT_BANDS.standard()));
            case NAMING -> namingFault(value);
            case WORD_WEIGHTS ->
                WordWeights.parse(value).isPresent()
                        ? Optional.empty()
                        : Optional.of(
                                Strings.text("lane.fault.word-weights", value, LaneDetail.WORD_WEIGHTS.standard()));
            default -> Optional.empty();
        };
    }

    private static boolean isDate(String value) {
        try {
            return value.isEmpty() || LocalDate.parse(value) != null;
        } catch (DateTimeParseException e) {
            return false;
        }
    }

    private static Optional<String> namingFault(String pattern) {
        try {
            new FileNaming(pattern).name("timetable.xlf", FileNaming.SAMPLE);
            return Optional.empty();
        } catch (CannotProceedException e) {
            return Optional.of(e.getMessage());
        }
    }
}
