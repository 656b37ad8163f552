package org.swaplane.document;

import java.util.ArrayList;
import java.util.List;

/**
 * A bilingual document as read: nothing in it changes; edits are made beside it.
 *
 * @param format id of the format, such as {@code xliff-1.2}
 * @param encoding IANA name of the character encoding, with {@code +BOM} where the file starts with a byte order mark
 * @param foreign attributes and elements of other namespaces
 */
public record BilingualDocument(
        String format,
        String encoding,
        List<Part> parts,
        List<Segment> segments,
        List<Problem> problems,
        List<ForeignItem> foreign) {
    public BilingualDocument {
        parts = List.copyOf(parts);
        segments = List.copyOf(segments);
        problems = List.copyOf(problems);
        foreign = List.copyOf(foreign);
    }

    /** The segments of a part, unit by unit; a text within a tag is a unit of its own. */
    public List<List<Segment>> units(int part) {
        List<List<Segment>> units = new ArrayList<>();
        Segment before = null;
        for (Segment segment : segments) {
            if (segment.part() == part) {
                if (before == null || !before.isOfSameUnit(segment) || before.isSubFlow() || segment.isSubFlow()) {
                    units.add(new ArrayList<>(1));
                }
                units.get(units.size() - 1).add(segment);
                before = segment;
            }
        }
        return units;
    }

    public String sourceLanguage() {
        return parts.isEmpty() ? "" : parts.get(0).sourceLanguage();
    }

    public String targetLanguage() {
        return parts.isEmpty() ? "" : parts.get(0).targetLanguage();
    }
}
