package org.swaplane.document;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.check.CheckedSegment;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;

/**
 * A segment for a test, sound unless told otherwise. Texts may hold tags: {@code <1>} and {@code </1>} are a pair, {@code <2/>}
 * stands alone.
 */
public final class SegmentBuilder {
    private String key = "app/u1";
    private String sourceLanguage = "en-GB";
    private String targetLanguage = "de-DE";
    private Content source = Content.of("The ferry leaves.");
    private Content target = Content.of("Die Fähre fährt ab.");
    private State state = State.TRANSLATED;
    private boolean locked;
    private Limits limits = Limits.NONE;
    private final List<Note> notes = new ArrayList<>();

    public static SegmentBuilder aSegment() {
        return new SegmentBuilder();
    }

    public SegmentBuilder key(String value) {
        key = value;
        return this;
    }

    public SegmentBuilder source(String language, String text) {
        sourceLanguage = language;
        source = content(text);
        return this;
    }

    public SegmentBuilder target(String language, String text) {
        targetLanguage = language;
        target = content(text);
        return this;
    }

    public SegmentBuilder source(String text) {
        return source(sourceLanguage, text);
    }

    public SegmentBuilder target(String text) {
        return target(targetLanguage, text);
    }

    public SegmentBuilder state(State value) {
        state = value;
        return this;
    }

    public SegmentBuilder locked() {
        locked = true;
        return this;
    }

    public SegmentBuilder limits(Limits value) {
        limits = value;
        return this;
    }

    public SegmentBuilder note(String text) {
        notes.add(new Note(text, "client"));
        return this;
    }

    public Segment build() {
        return new Segment(
                key,
                0,
                key,
                source,
                target,
                state,
                "",
                locked ? Lock.FILE : Lock.NONE,
                SegmentMetadata.ofNotes(notes).withLimits(limits));
    }

    public CheckedSegment checked() {
        return new CheckedSegment(0, build(), target, sourceLanguage, targetLanguage);
    }

    /** Text with tags as described for this class. */
    public static Content content(String text) {
        List<Run> runs = new ArrayList<>();
        for (String piece : text.split("(?=</?\\d+/?>)|(?<=\\d/?>)")) {
            runs.add(piece.matches("</?\\d+/?>") ? tag(piece) : new Text(piece));
        }
        return new Content(runs);
    }

    private static Tag tag(String written) {
        String number = written.replaceAll("\\D", "");
        Tag.Kind kind = written.startsWith("</")
                ? Tag.Kind.CLOSE
                : written.endsWith("/>") ? Tag.Kind.STANDALONE : Tag.Kind.OPEN;
        return new Tag(kind, "g:" + number, written, "");
    }
}
