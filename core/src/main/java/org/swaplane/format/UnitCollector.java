package org.swaplane.format;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;
import org.swaplane.segmentation.Segmentation;
import org.swaplane.segmentation.SplitContent;
import org.swaplane.wording.Phrase;

/** Collects the units of a document while it is read, and cuts them into segments. */
public final class UnitCollector {
    private final FileOptions options;
    private final Segmentation segmentation;
    private final List<Segment> segments = new ArrayList<>();
    private final List<Unit> units = new ArrayList<>();
    private final List<Problem> problems = new ArrayList<>();
    private final Map<String, Integer> ids = new HashMap<>();

    /**
     * A unit and its segments.
     *
     * @param first index of its first segment
     */
    public record Unit(SplitContent split, int first) {
        /** The unit with these edits of any segments, by their index; what has no target keeps its source. */
        public Content with(Map<Integer, SegmentEdit> edits) {
            List<Content> contents = new ArrayList<>(split.segments());
            for (int i = 0; i < contents.size(); i++) {
                SegmentEdit edit = edits.get(first + i);
                if (edit != null && !edit.target().isEmpty()) {
                    contents.set(i, edit.target());
                }
            }
            return split.with(contents);
        }

        /** Where its segments begin, in UTF-16 units of its plain text. */
        List<Integer> starts() {
            List<Integer> starts = new ArrayList<>();
            int at = 0;
            for (int i = 0; i < split.segments().size(); i++) {
                at += split.between().get(i).length();
                starts.add(at);
                at += split.segments().get(i).plainText().length();
            }
            return starts;
        }

        /** Whether one of its segments gets a target. */
        public boolean isIn(Map<Integer, SegmentEdit> edits) {
            for (int i = 0; i < split.segments().size(); i++) {
                SegmentEdit edit = edits.get(first + i);
                if (edit != null && !edit.target().isEmpty()) {
                    return true;
                }
            }
            return false;
        }
    }

    public UnitCollector(FileOptions options) {
        this.options = options;
        this.segmentation = new Segmentation(options.segmentation(), options.sourceLanguage());
    }

    /**
     * Adds a unit, unless there is no letter in it to translate.
     *
     * @param id where it stands in words of the document; need not be unique
     * @return the unit, empty when it was not added
     */
    public Optional<Unit> add(String id, Content content, Lock lock, SegmentMetadata about) {
        if (!hasLetter(content.plainText())) {
            return Optional.empty();
        }
        int before = ids.merge(id, 1, Integer::sum);
        String unit = before > 1 ? id + '~' + before : id;
        List<Integer> cut = options.document().cuts().get(unit);
        SplitContent split = cut == null ? segmentation.split(content) : segmentation.split(content, cut);
        Unit added = new Unit(split, segments.size());
        List<Integer> starts = added.starts();
        for (int i = 0; i < starts.size(); i++) {
            // By where it begins, so that it stays the same segment when its neighbours are joined or split.
            String key = i == 0 ? unit : unit + '@' + starts.get(i);
            Content segment = split.segments().get(i);
            segments.add(new Segment(key, 0, unit, segment, Content.EMPTY, State.INITIAL, "", lock, about));
        }
        units.add(added);
        return Optional.of(added);
    }

    /** Every unit so far, in the order of its segments. */
    List<Unit> units() {
        return units;
    }

    private static boolean hasLetter(String text) {
        for (int i = 0; i < text.length(); i += Character.charCount(text.codePointAt(i))) {
            if (Character.isLetter(text.codePointAt(i))) {
                return true;
            }
        }
        return false;
    }

    public void problem(int line, int column, Phrase message) {
        problems.add(new Problem(line, column, message));
    }

    /** The document with all that was added. */
    public BilingualDocument document(String format, String encoding, String name) {
        Part part = new Part(name, options.sourceLanguage(), options.targetLanguage(), List.of());
        return new BilingualDocument(format, encoding, List.of(part), segments, problems, List.of());
    }
}
