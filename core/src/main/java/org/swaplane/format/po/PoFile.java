package org.swaplane.format.po;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.SplicedCopy;
import org.swaplane.format.WrittenNote;
import org.swaplane.task.Progress;

/** A catalogue that was read: its document, and where each translation stands. */
final class PoFile implements BilingualFile {
    private final EncodedText text;
    private final BilingualDocument document;
    private final List<Place> places;
    private final String lineEnd;

    /** The line with the flag that a translation is only a guess; nowhere when {@code end} is 0. */
    record Fuzzy(int start, int end) {
        static final Fuzzy NONE = new Fuzzy(0, 0);

        boolean isThere() {
            return end > 0;
        }
    }

    /**
     * Where the quoted strings of a translation stand.
     *
     * @param message where the message begins
     * @param lead line breaks that the message begins with; they belong to the file, and so does {@code trail}
     */
    record Place(int message, int start, int end, Fuzzy fuzzy, String lead, String trail) {
        /** A translation without what it has of these line breaks. */
        String inner(String translation) {
            int from = translation.startsWith(lead) ? lead.length() : 0;
            boolean ends = translation.length() - from >= trail.length() && translation.endsWith(trail);
            return translation.substring(from, translation.length() - (ends ? trail.length() : 0));
        }

        private Content whole(Content target) {
            return target.isEmpty()
                    ? target
                    : new Content(Stream.of(List.<Run>of(new Text(lead)), target.runs(), List.<Run>of(new Text(trail)))
                            .flatMap(List::stream)
                            .toList());
        }
    }

    /** Places are in the order of the document's segments. */
    PoFile(EncodedText text, BilingualDocument document, List<Place> places, String lineEnd) {
        this.text = text;
        this.document = document;
        this.places = List.copyOf(places);
        this.lineEnd = lineEnd;
    }

    @Override
    public BilingualDocument document() {
        return document;
    }

    /** A catalogue knows translations and guesses only. */
    @Override
    public State kept(State state, Content target) {
        return target.isEmpty() || state == State.INITIAL ? State.INITIAL : State.TRANSLATED;
    }

    @Override
    public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        List<Splice> splices = new ArrayList<>();
        Map<Fuzzy, String> settled = new LinkedHashMap<>();
        for (SegmentEdit edit : edits) {
            Segment segment = document.segments().get(edit.segment());
            Place place = places.get(edit.segment());
            if (!edit.target().equals(segment.target())) {
                String written = PoString.written(place.whole(edit.target()), lineEnd);
                splices.add(new Splice(place.start(), place.end(), segment.key(), raw -> written));
            }
            if (!edit.notes().isEmpty()) {
                String comments = edit.notes().stream()
                        .flatMap(note ->
                                WrittenNote.clean(WrittenNote.signed(note)).lines())
                        .map(line -> "# " + line + lineEnd)
                        .collect(Collectors.joining());
                splices.add(new Splice(place.message(), place.message(), segment.key(), none -> comments));
            }
            if (place.fuzzy().isThere() && edit.state() != State.INITIAL) {
                settled.put(place.fuzzy(), segment.key());
            }
        }
        // All forms of a message share the flag; it goes with the first that is settled.
        settled.forEach((fuzzy, key) ->
                splices.add(new Splice(fuzzy.start(), fuzzy.end(), key, raw -> raw.replaceFirst(",\\s*fuzzy\\b", ""))));
        SplicedCopy.write(text, splices, CharacterEscapes.NONE, out, progress);
    }
}
