package org.swaplane.report;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.swaplane.compare.Span;

/**
 * One value of a report.
 *
 * @param number what it is where it is a number, so that a workbook can count with it; shown with as many decimals as it has
 */
public record Cell(List<Piece> pieces, Optional<BigDecimal> number, Tone tone) {
    /** A run of text; a marked one differs from its counterpart. */
    public record Piece(String text, boolean marked) {}

    /** How it is shown. */
    public enum Tone {
        PLAIN,
        GOOD,
        BAD,
        CODE,
        NUMBER
    }

    public static Cell of(String text) {
        return of(text, Tone.PLAIN);
    }

    public static Cell of(String text, Tone tone) {
        return new Cell(text.isEmpty() ? List.of() : List.of(new Piece(text, false)), Optional.empty(), tone);
    }

    public static Cell of(long number) {
        return of(BigDecimal.valueOf(number), String.valueOf(number));
    }

    /** A number, and how people read it. */
    public static Cell of(BigDecimal number, String shown) {
        return new Cell(List.of(new Piece(shown, false)), Optional.of(number), Tone.NUMBER);
    }

    /** A text of which some spans are marked; they must be in order. */
    public static Cell marked(String text, List<Span> spans) {
        List<Piece> pieces = new ArrayList<>();
        int at = 0;
        for (Span span : spans) {
            add(pieces, text.substring(at, span.start()), false);
            add(pieces, text.substring(span.start(), span.end()), true);
            at = span.end();
        }
        add(pieces, text.substring(at), false);
        return new Cell(List.copyOf(pieces), Optional.empty(), Tone.PLAIN);
    }

    private static void add(List<Piece> pieces, String text, boolean marked) {
        if (!text.isEmpty()) {
            pieces.add(new Piece(text, marked));
        }
    }

    public String text() {
        return pieces.stream().map(Piece::text).collect(Collectors.joining());
    }

    /** The tone as a style sheet names it. */
    public String look() {
        return tone.name().toLowerCase(Locale.ROOT);
    }
}
