package org.swaplane.lane;

import java.util.Locale;
import org.swaplane.effort.Bands;
import org.swaplane.release.Gate;

/** What a person can say about a lane in its settings; what is not said has a default. */
public enum LaneDetail {
    NAME(""),
    CLIENT(""),
    /** Address of the desk where the client offers tasks; empty for none. */
    CLIENT_DESK(""),
    SUBJECT(""),
    INSTRUCTIONS(""),
    SOURCE_LANGUAGE(""),
    /** Codes, parted by spaces. */
    TARGET_LANGUAGES(""),
    /** An ISO date. */
    DUE(""),
    PERSON(""),
    INITIALS(""),
    NAMING("{name}_{target}.{ext}"),
    /** Seconds. */
    IDLE_LIMIT_SECONDS("60"),
    /** Whether it is recorded how long people work at it. */
    RECORD_TIME("true"),
    /** Ranges of similarity by which changes are told, as {@link org.swaplane.effort.Bands#parse} reads them. */
    EDIT_BANDS(Bands.DEFAULT.toString()),
    /** What errors are called and weigh here, as {@link org.swaplane.quality.QualityScheme#parse} reads it; empty for MQM's. */
    QUALITY_SCHEME(""),
    /** The rate cards that hold here, as {@link org.swaplane.rates.RateCard#parse} reads them. */
    RATE_CARDS(""),
    /** What was offered before the work, as {@link Offer#parse} reads it; empty for nothing. */
    OFFER(""),
    /** Conditions of a release that must be met here, by their ids, parted by spaces. */
    RELEASE_CONDITIONS(String.join(" ", Gate.USUAL)),
    /** What the client wants to get, as {@link org.swaplane.release.ReleaseOptions#parse} reads it. */
    RELEASE_OPTIONS(""),
    /** How much words count by their match, as {@link org.swaplane.memory.WordWeights#parse} reads it. */
    WORD_WEIGHTS("context=0 repetition=0 crossFileRepetition=0 100=0 95-99=30 85-94=60 75-84=80"),
    /** What empty targets of new files begin with, a word of {@link NewTargets}. */
    NEW_TARGETS("empty"),
    /** Whether what is marked as reviewed goes to the open segments with the same source by itself. */
    REPETITIONS_FOLLOW("false"),
    /** Whether the notes of people here that are not settled are written into the bilingual files that are released. */
    NOTES_IN_FILES("false"),
    /** Whether a segment with an error may be marked as reviewed. */
    REVIEWED_WITH_ERRORS("true");

    private final String standard;

    LaneDetail(String standard) {
        this.standard = standard;
    }

    /** The value of a lane that says nothing else. */
    public String standard() {
        return standard;
    }

    /** How the database knows it. */
    String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
