package org.swaplane.reviewcopy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** A copy as it came back, whatever happened to it on the way. */
public record ReturnedCopy(Optional<CopyIdentity> identity, List<ReturnedRow> rows) {
    public ReturnedCopy {
        rows = List.copyOf(rows);
    }

    /** The trip that it belongs to: what most rows say, else what the document says of itself. */
    public Optional<String> trip() {
        Map<String, Long> votes = rows.stream()
                .flatMap(row -> row.code().stream())
                .collect(Collectors.groupingBy(RowCode::trip, Collectors.counting()));
        return votes.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .or(() -> identity.map(CopyIdentity::trip));
    }
}
