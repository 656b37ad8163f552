package org.swaplane.exchange;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewRow;
import org.swaplane.reviewcopy.RowCode;

/**
 * The rows of a copy of some segments of a document. A row's number is its place in the whole document, so that it stays the same however
 * little of it is sent.
 */
public final class CopyRows {
    private final BilingualDocument document;
    private final IntFunction<Content> targets;
    private final IntFunction<List<String>> notes;

    /**
     * @param targets gives what stands now for the index of a segment
     * @param notes gives what goes into the comment column besides what the file says, likewise
     */
    public CopyRows(BilingualDocument document, IntFunction<Content> targets, IntFunction<List<String>> notes) {
        this.document = document;
        this.targets = targets;
        this.notes = notes;
    }

    /** Those of a file as it is. */
    public CopyRows(BilingualDocument document) {
        this(document, index -> document.segments().get(index).target(), index -> List.of());
    }

    /** Who the copy belongs to. */
    public record Owner(String lane, long track, String trip) {}

    /**
     * A part of a copy.
     *
     * @param indexes of the segments, rising
     * @param context how many segments around each are shown as well, to be read only
     */
    public ReviewCopy.Part part(Owner owner, String name, Collection<Integer> indexes, int context) {
        TreeSet<Integer> sent = new TreeSet<>(indexes);
        TreeSet<Integer> shown = new TreeSet<>(sent);
        if (context > 0) {
            for (int index : sent) {
                for (int at = Math.max(0, index - context);
                        at <= Math.min(document.segments().size() - 1, index + context);
                        at++) {
                    shown.add(at);
                }
            }
        }
        List<ReviewRow> rows = List.copyOf(shown).parallelStream()
                .map(index -> row(owner.trip(), index, sent.contains(index)))
                .toList();
        boolean isAll = sent.size() == document.segments().size();
        List<Integer> numbers = sent.stream().map(index -> index + 1).toList();
        Segment first = document.segments().get(sent.isEmpty() ? 0 : sent.first());
        CopyIdentity identity = new CopyIdentity(
                owner.lane(),
                owner.track(),
                owner.trip(),
                sent.size(),
                document.parts().get(first.part()).sourceLanguage(),
                document.parts().get(first.part()).targetLanguage(),
                isAll ? "" : CopyIdentity.ranges(numbers));
        return new ReviewCopy.Part(identity, name, rows);
    }

    private ReviewRow row(String trip, int index, boolean sent) {
        Segment segment = document.segments().get(index);
        Content source = segment.source();
        Optional<RowCode> code =
                sent ? Optional.of(RowCode.of(trip, index + 1, Fingerprint.of(source))) : Optional.empty();
        return new ReviewRow(
                code,
                EdgeBreaks.without(TagNotation.write(source, source)),
                EdgeBreaks.without(TagNotation.write(targets.apply(index), source)),
                Stream.concat(Stream.of(ReviewCopy.notes(segment)), notes.apply(index).stream())
                        .filter(text -> !text.isEmpty())
                        .collect(Collectors.joining("\n")),
                segment.locked());
    }
}
