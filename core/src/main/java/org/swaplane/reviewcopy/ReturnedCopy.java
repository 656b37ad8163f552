package org.swaplane.reviewcopy;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A copy as it came back, whatever happened to it on the way.
 *
 * @param identities what the document says of itself, one for each file in it; empty when that was lost
 * @param sent the texts as they were sent, which the copy carries; none when they were lost or altered
 * @param remarks what was written outside the rows
 */
public record ReturnedCopy(
        List<CopyIdentity> identities, List<ReturnedRow> rows, SentTexts sent, List<Remark> remarks) {
    public ReturnedCopy {
        identities = List.copyOf(identities);
        rows = List.copyOf(rows);
        remarks = List.copyOf(remarks);
    }

    /** One of which nothing is known but its rows. */
    public ReturnedCopy(Optional<CopyIdentity> identity, List<ReturnedRow> rows) {
        this(identity.stream().toList(), rows, SentTexts.NONE, List.of());
    }

    /** The trips that it belongs to: what its rows say, the most frequent first, else what the document says of itself. */
    public List<String> trips() {
        Map<String, Long> votes = rows.stream()
                .flatMap(row -> row.code().stream())
                .collect(Collectors.groupingBy(RowCode::trip, LinkedHashMap::new, Collectors.counting()));
        List<String> byRows = votes.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue().reversed())
                .map(Map.Entry::getKey)
                .toList();
        return byRows.isEmpty()
                ? identities.stream().map(CopyIdentity::trip).distinct().toList()
                : byRows;
    }

    /** The first of them. */
    public Optional<String> trip() {
        return trips().stream().findFirst();
    }

    /** What the document says of the file that went out with a trip. */
    public Optional<CopyIdentity> identity(String trip) {
        return identities.stream().filter(each -> each.trip().equals(trip)).findFirst();
    }

    /**
     * What of it belongs to one of its trips: rows with that code, and those without any. Rows of copies that are no part of this one, such as
     * those that were pasted in, and remarks outside the rows go with the first.
     *
     * @param known trips of which is known what they were made of
     */
    public ReturnedCopy of(String trip, Collection<String> known) {
        Set<String> parts = new LinkedHashSet<>(trips());
        Set<String> named = identities.stream().map(CopyIdentity::trip).collect(Collectors.toSet());
        parts.removeIf(each -> !known.contains(each) && !named.contains(each));
        boolean isFirst = parts.stream()
                .filter(known::contains)
                .findFirst()
                .filter(trip::equals)
                .isPresent();
        return new ReturnedCopy(
                identity(trip).stream().toList(),
                rows.stream()
                        .filter(row -> row.code()
                                .map(code -> code.trip().equals(trip) || isFirst && !parts.contains(code.trip()))
                                .orElse(isFirst || parts.size() > 1))
                        .toList(),
                sent,
                isFirst ? remarks : List.of());
    }
}
