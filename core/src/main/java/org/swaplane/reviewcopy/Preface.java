package org.swaplane.reviewcopy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.document.Fingerprint;

/**
 * What a copy says besides its rows, as it was sent: title, instructions and names of files. Known by short fingerprints, which stand among the
 * document's properties and so outlive programs that drop everything else.
 */
record Preface(Set<String> prints) {
    static final Preface UNKNOWN = new Preface(Set.of());

    private static final String NAME = "preface=";
    private static final int DIGITS = 10;

    Preface {
        prints = Set.copyOf(prints);
    }

    static Preface of(Collection<String> texts) {
        return new Preface(texts.stream().map(Preface::print).collect(Collectors.toSet()));
    }

    /** That of a copy. */
    static Preface of(ReviewCopy copy) {
        return of(texts(copy));
    }

    static List<String> texts(ReviewCopy copy) {
        List<String> texts = new ArrayList<>(copy.instructions());
        texts.add(copy.title());
        texts.addAll(copy.notices());
        texts.addAll(copy.heads());
        copy.parts().forEach(part -> texts.add(part.name()));
        return texts;
    }

    private static String print(String text) {
        return Fingerprint.ofWritten(text.strip()).substring(0, DIGITS);
    }

    /** Whether a text was sent so; one that was changed is not. */
    boolean has(String text) {
        return prints.contains(print(text));
    }

    Preface and(Preface other) {
        Set<String> all = new HashSet<>(prints);
        all.addAll(other.prints);
        return new Preface(all);
    }

    /** To stand in a property among the identities of the parts. */
    String written() {
        return NAME + prints.stream().sorted().collect(Collectors.joining("."));
    }

    /** What {@link #written} wrote, out of such a property. */
    static Preface read(String property) {
        Optional<String> own = Arrays.stream(property.split("\\|"))
                .map(String::strip)
                .filter(part -> part.startsWith(NAME))
                .findFirst();
        return own.map(part ->
                        new Preface(Stream.of(part.substring(NAME.length()).split("\\."))
                                .map(String::strip)
                                .filter(print -> print.matches("[0-9a-f]{" + DIGITS + "}"))
                                .collect(Collectors.toSet())))
                .orElse(UNKNOWN);
    }
}
