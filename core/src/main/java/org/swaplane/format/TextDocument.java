package org.swaplane.format;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.CharsetEncoder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** A document in a text format: its units stand at places of the text and are spliced in when it is written. */
public final class TextDocument implements DocumentFile {
    private final EncodedText text;
    private final CharacterEscapes escapes;
    private final BilingualDocument document;
    private final List<Place> places;
    private final List<UnitCollector.Unit> units;
    private final List<Splice> whenTranslated;

    /**
     * Where a text stands, UTF-16 units, half-open, and how it is written there.
     *
     * @param content as it was read
     * @param unit empty where the text itself has nothing to translate
     * @param inner units within the codes of this one's tags
     * @param isWhole whether an inner unit can only be written with the whole, since its offsets are those of the text that was read
     */
    private record Place(
            int start,
            int end,
            UnitSyntax syntax,
            Content content,
            Optional<UnitCollector.Unit> unit,
            List<InnerPlace> inner,
            boolean isWhole) {
        /** The text as it will be, with what is in its tags. */
        private Content with(Map<Integer, SegmentEdit> edits) {
            Content written = unit.map(own -> own.with(edits)).orElse(content);
            // Several texts in one tag: the last first, so that the offsets of the others stay.
            for (int i = inner.size() - 1; i >= 0; i--) {
                if (inner.get(i).place().isIn(edits)) {
                    written = inner.get(i).in(written, edits);
                }
            }
            return written;
        }

        /** Whether it or something in it gets a target. */
        private boolean isIn(Map<Integer, SegmentEdit> edits) {
            return isItselfIn(edits)
                    || inner.stream().anyMatch(each -> each.place().isIn(edits));
        }

        private boolean isItselfIn(Map<Integer, SegmentEdit> edits) {
            return unit.filter(own -> own.isIn(edits)).isPresent();
        }

        private int firstSegment() {
            return unit.map(UnitCollector.Unit::first)
                    .orElseGet(() -> inner.get(0).place().firstSegment());
        }

        private void addUnits(Map<Integer, SegmentEdit> edits, List<WrittenUnit> units) {
            if (unit.isPresent()) {
                Content written = with(edits);
                units.add(new WrittenUnit(written, syntax.comparable(written)));
            }
            inner.forEach(each -> each.place().addUnits(edits, units));
        }
    }

    /** Where a unit stands in a tag: {@code from} counts from the begin of the tag's code. */
    private record InnerPlace(String tag, boolean atClose, int from, Place place) {
        /** The text around it with this one as it will be. */
        private Content in(Content outer, Map<Integer, SegmentEdit> edits) {
            int to = from + place.end() - place.start();
            String written = place.syntax().written(place.with(edits));
            List<Run> runs = new ArrayList<>(outer.runs());
            runs.replaceAll(run -> {
                if (!(run instanceof Tag each)
                        || !each.id().equals(tag)
                        || (each.kind() == Tag.Kind.CLOSE) != atClose) {
                    return run;
                }
                String code =
                        each.code().substring(0, from) + written + each.code().substring(to);
                return new Tag(each.kind(), each.id(), code, each.label(), each.rights());
            });
            return new Content(runs);
        }
    }

    /**
     * A text within the code of a tag, such as an attribute.
     *
     * @param tag id of the tag
     * @param atClose whether it stands in the closing one of a pair
     * @param tagStart where the tag begins in the file
     * @param start where the text begins in the file
     * @param end where it ends
     */
    public record Inner(
            String tag,
            boolean atClose,
            int tagStart,
            String id,
            int start,
            int end,
            Content content,
            UnitSyntax syntax) {
        public Inner(String tag, int tagStart, String id, int start, int end, Content content, UnitSyntax syntax) {
            this(tag, false, tagStart, id, start, end, content, syntax);
        }
    }

    private TextDocument(
            EncodedText text,
            CharacterEscapes escapes,
            BilingualDocument document,
            List<Place> places,
            List<UnitCollector.Unit> units,
            List<Splice> whenTranslated) {
        this.text = text;
        this.escapes = escapes;
        this.document = document;
        this.places = List.copyOf(places);
        this.units = List.copyOf(units);
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
        public void add(String id, int start, int end, Content content, UnitSyntax syntax, SegmentMetadata about) {
            add(id, start, end, content, syntax, about, List.of());
        }

        /** Adds a unit with texts in its tags. If it has no text itself, those are units all the same. */
        public void add(
                String id,
                int start,
                int end,
                Content content,
                UnitSyntax syntax,
                SegmentMetadata about,
                List<Inner> inner) {
            Optional<UnitCollector.Unit> outer = units.add(id, content, Lock.NONE, about);
            List<InnerPlace> within = new ArrayList<>(0);
            for (Inner each : inner) {
                units.add(each.id(), each.content(), Lock.NONE, about).ifPresent(unit -> {
                    Place place = new Place(
                            each.start(),
                            each.end(),
                            each.syntax(),
                            each.content(),
                            Optional.of(unit),
                            List.of(),
                            false);
                    if (outer.isPresent()) {
                        within.add(new InnerPlace(each.tag(), each.atClose(), each.start() - each.tagStart(), place));
                    } else {
                        places.add(place);
                    }
                });
            }
            if (outer.isPresent()) {
                places.add(new Place(start, end, syntax, content, outer, within, false));
            }
        }

        /** Adds a text as a message whose variants are units of their own; see {@link IcuMessage}. */
        public void add(String id, int start, int end, IcuMessage message, UnitSyntax syntax, SegmentMetadata about) {
            Place place = place(id, start, end, message, syntax, about);
            if (place.unit().isPresent() || !place.inner().isEmpty()) {
                places.add(place);
            }
        }

        private Place place(
                String id, int start, int end, IcuMessage message, UnitSyntax syntax, SegmentMetadata about) {
            Optional<UnitCollector.Unit> unit = units.add(id, message.content(), Lock.NONE, about);
            List<InnerPlace> within = new ArrayList<>(0);
            for (IcuMessage.Variant variant : message.variants()) {
                Place inner = place(
                        id + ' ' + variant.name(),
                        variant.from(),
                        variant.to(),
                        variant.message(),
                        variant.message().syntax(),
                        about);
                if (inner.unit().isPresent() || !inner.inner().isEmpty()) {
                    within.add(new InnerPlace(variant.tag(), false, variant.from(), inner));
                }
            }
            return new Place(start, end, syntax, message.content(), unit, within, true);
        }

        /** A change that belongs to any translation of the document, such as its language. */
        public void whenTranslated(Splice splice) {
            whenTranslated.add(splice);
        }

        public void problem(int line, int column, Phrase message) {
            units.problem(line, column, message);
        }

        public TextDocument build(String format, CharacterEscapes escapes) {
            if (!text.doubt().isEmpty()) {
                units.problem(
                        0,
                        0,
                        Phrase.of("format.encoding-guessed", text.encoding().label(), text.doubt()));
            }
            BilingualDocument document = units.document(
                    format, text.encoding().label(), text.source().name());
            return new TextDocument(text, escapes, document, places, units.units(), whenTranslated);
        }
    }

    @Override
    public BilingualDocument document() {
        return document;
    }

    @Override
    public List<Integer> starts(int segment) {
        UnitCollector.Unit found = units.get(0);
        for (UnitCollector.Unit unit : units) {
            found = unit.first() <= segment ? unit : found;
        }
        return found.starts();
    }

    @Override
    public List<WrittenUnit> units(List<SegmentEdit> edits) {
        Map<Integer, SegmentEdit> bySegment = bySegment(edits);
        List<WrittenUnit> units = new ArrayList<>();
        places.forEach(place -> place.addUnits(bySegment, units));
        // What the encoding lacks is escaped in the codes of tags that are read again, so it is on both sides.
        CharsetEncoder encoder = text.encoding().charset().newEncoder();
        String file = text.source().name();
        units.replaceAll(unit -> new WrittenUnit(unit.content(), escapes.escaped(unit.written(), encoder, file, "")));
        return units;
    }

    @Override
    public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        Map<Integer, SegmentEdit> bySegment = bySegment(edits);
        List<Splice> splices = new ArrayList<>();
        for (Place place : places) {
            if (place.isItselfIn(bySegment) || place.isWhole() && place.isIn(bySegment)) {
                splices.add(splice(place, bySegment));
            } else {
                place.inner().stream()
                        .map(InnerPlace::place)
                        .filter(inner -> inner.isIn(bySegment))
                        .forEach(inner -> splices.add(splice(inner, bySegment)));
            }
        }
        if (!splices.isEmpty()) {
            splices.addAll(whenTranslated);
        }
        SplicedCopy.write(text, splices, escapes, out, progress);
    }

    private Splice splice(Place place, Map<Integer, SegmentEdit> edits) {
        String written = place.syntax().written(place.with(edits));
        String key = document.segments().get(place.firstSegment()).key();
        return new Splice(place.start(), place.end(), key, raw -> written);
    }

    private static Map<Integer, SegmentEdit> bySegment(List<SegmentEdit> edits) {
        Map<Integer, SegmentEdit> bySegment = new HashMap<>();
        edits.forEach(edit -> bySegment.put(edit.segment(), edit));
        return bySegment;
    }
}
