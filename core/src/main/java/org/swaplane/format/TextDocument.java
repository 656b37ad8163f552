package org.swaplane.format;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.document.About;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.task.Progress;

/** A document in a text format: its units stand at places of the text and are spliced in when it is written. */
public final class TextDocument implements DocumentFile {
    private final EncodedText text;
    private final CharacterEscapes escapes;
    private final BilingualDocument document;
    private final List<Place> places;
    private final List<Splice> whenTranslated;

    /**
     * Where a unit stands in the text, UTF-16 units, half-open, and how it is written there.
     *
     * @param inner units within the codes of this one's tags
     */
    private record Place(int start, int end, UnitSyntax syntax, UnitCollector.Unit unit, List<InnerPlace> inner) {}

    /** Where a unit stands in a tag: {@code from} counts from the begin of the tag's code. */
    private record InnerPlace(String tag, int from, Place place) {}

    /**
     * A text within the code of a tag, such as an attribute.
     *
     * @param tag id of the tag
     * @param tagStart where the tag begins in the file
     * @param start where the text begins in the file
     * @param end where it ends
     */
    public record Inner(String tag, int tagStart, String id, int start, int end, Content content, UnitSyntax syntax) {}

    private TextDocument(
            EncodedText text,
            CharacterEscapes escapes,
            BilingualDocument document,
            List<Place> places,
            List<Splice> whenTranslated) {
        this.text = text;
        this.escapes = escapes;
        this.document = document;
        this.places = List.copyOf(places);
        this.whenTranslated = List.copyOf(whenTranslated);
    }

    /** Makes a document out of what an extractor finds. */
    public static final class Builder {
        private final EncodedText text;
        private final UnitCollector units;
        private final List<Place> places = new ArrayList<>();
        private final List<Splice> whenTranslated = new ArrayList<>();

        public Builder(EncodedText text, FileOptions options) {
            this.text = text;
            this.units = new UnitCollector(options);
        }

        /** Adds the unit that stands at {@code [start, end)}; see {@link UnitCollector#add}. */
        public void add(String id, int start, int end, Content content, UnitSyntax syntax, About about) {
            add(id, start, end, content, syntax, about, List.of());
        }

        /** Adds a unit with texts in its tags. If it has no text itself, those are units all the same. */
        public void add(
                String id, int start, int end, Content content, UnitSyntax syntax, About about, List<Inner> inner) {
            Optional<UnitCollector.Unit> outer = units.add(id, content, Lock.NONE, about);
            List<InnerPlace> within = new ArrayList<>(0);
            for (Inner each : inner) {
                units.add(each.id(), each.content(), Lock.NONE, about).ifPresent(unit -> {
                    Place place = new Place(each.start(), each.end(), each.syntax(), unit, List.of());
                    if (outer.isPresent()) {
                        within.add(new InnerPlace(each.tag(), each.start() - each.tagStart(), place));
                    } else {
                        places.add(place);
                    }
                });
            }
            outer.ifPresent(unit -> places.add(new Place(start, end, syntax, unit, within)));
        }

        /** A change that belongs to any translation of the document, such as its language. */
        public void whenTranslated(Splice splice) {
            whenTranslated.add(splice);
        }

        public void problem(int line, int column, String message) {
            units.problem(line, column, message);
        }

        public TextDocument build(String format, CharacterEscapes escapes) {
            BilingualDocument document = units.document(
                    format, text.encoding().label(), text.source().name());
            return new TextDocument(text, escapes, document, places, whenTranslated);
        }
    }

    @Override
    public BilingualDocument document() {
        return document;
    }

    @Override
    public List<WrittenUnit> units(List<SegmentEdit> edits) {
        Map<Integer, SegmentEdit> bySegment = bySegment(edits);
        List<WrittenUnit> units = new ArrayList<>();
        for (Place place : places) {
            units.add(unit(place, bySegment));
            place.inner().forEach(inner -> units.add(unit(inner.place(), bySegment)));
        }
        return units;
    }

    private static WrittenUnit unit(Place place, Map<Integer, SegmentEdit> edits) {
        Content content = content(place, edits);
        return new WrittenUnit(content, place.syntax().comparable(content));
    }

    @Override
    public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        Map<Integer, SegmentEdit> bySegment = bySegment(edits);
        List<Splice> splices = new ArrayList<>();
        for (Place place : places) {
            if (place.unit().isIn(bySegment)) {
                splices.add(splice(place, bySegment));
            } else {
                place.inner().stream()
                        .map(InnerPlace::place)
                        .filter(inner -> inner.unit().isIn(bySegment))
                        .forEach(inner -> splices.add(splice(inner, bySegment)));
            }
        }
        if (!splices.isEmpty()) {
            splices.addAll(whenTranslated);
        }
        SplicedCopy.write(text, splices, escapes, out, progress);
    }

    private Splice splice(Place place, Map<Integer, SegmentEdit> edits) {
        String written = place.syntax().written(content(place, edits));
        String key = document.segments().get(place.unit().first()).key();
        return new Splice(place.start(), place.end(), key, raw -> written);
    }

    /** The unit as it will be, with what is in its tags. */
    private static Content content(Place place, Map<Integer, SegmentEdit> edits) {
        Content content = place.unit().with(edits);
        // Several texts in one tag: the last first, so that the offsets of the others stay.
        for (int i = place.inner().size() - 1; i >= 0; i--) {
            InnerPlace inner = place.inner().get(i);
            if (inner.place().unit().isIn(edits)) {
                content = with(content, inner, edits);
            }
        }
        return content;
    }

    private static Content with(Content content, InnerPlace inner, Map<Integer, SegmentEdit> edits) {
        Place place = inner.place();
        int to = inner.from() + place.end() - place.start();
        String written = place.syntax().written(place.unit().with(edits));
        List<Run> runs = new ArrayList<>(content.runs());
        runs.replaceAll(run -> {
            if (!(run instanceof Tag tag) || !tag.id().equals(inner.tag()) || tag.kind() == Tag.Kind.CLOSE) {
                return run;
            }
            String code =
                    tag.code().substring(0, inner.from()) + written + tag.code().substring(to);
            return new Tag(tag.kind(), tag.id(), code, tag.label(), tag.rights());
        });
        return new Content(runs);
    }

    private static Map<Integer, SegmentEdit> bySegment(List<SegmentEdit> edits) {
        Map<Integer, SegmentEdit> bySegment = new HashMap<>();
        edits.forEach(edit -> bySegment.put(edit.segment(), edit));
        return bySegment;
    }
}
