package org.swaplane.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewRow;

/** Long copies in pieces that the form's own programs can open. */
public final class CopySplitting {
    private CopySplitting() {}

    /** Copies of at most so many rows each; the copy itself where it is short enough. */
    public static List<ReviewCopy> split(ReviewCopy copy, int most) {
        if (copy.size() <= most) {
            return List.of(copy);
        }
        List<ReviewCopy> pieces = new ArrayList<>();
        List<ReviewCopy.Part> parts = new ArrayList<>();
        int room = most;
        for (ReviewCopy.Part part : copy.parts()) {
            int at = 0;
            while (at < part.rows().size()) {
                int end = Math.min(part.rows().size(), at + room);
                parts.add(piece(part, at, end));
                room -= end - at;
                at = end;
                if (room == 0) {
                    pieces.add(of(copy, parts));
                    parts.clear();
                    room = most;
                }
            }
        }
        if (!parts.isEmpty()) {
            pieces.add(of(copy, parts));
        }
        return pieces;
    }

    private static ReviewCopy of(ReviewCopy copy, List<ReviewCopy.Part> parts) {
        return new ReviewCopy(copy.title(), copy.instructions(), copy.sourceLanguage(), copy.targetLanguage(), parts);
    }

    private static ReviewCopy.Part piece(ReviewCopy.Part part, int from, int to) {
        List<ReviewRow> rows = part.rows().subList(from, to);
        List<Integer> numbers = rows.stream()
                .map(row -> row.code().map(code -> code.number()).orElse(null))
                .filter(Objects::nonNull)
                .toList();
        CopyIdentity whole = part.identity();
        CopyIdentity identity = new CopyIdentity(
                whole.lane(),
                whole.track(),
                whole.trip(),
                numbers.size(),
                whole.source(),
                whole.target(),
                CopyIdentity.ranges(numbers));
        return new ReviewCopy.Part(identity, part.name(), rows);
    }
}
