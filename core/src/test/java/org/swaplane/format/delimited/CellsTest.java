package org.swaplane.format.delimited;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;

class CellsTest {
    private static List<List<String>> read(String text) {
        Cells cells = new Cells(text, ',');
        List<List<String>> rows = new ArrayList<>();
        while (cells.hasRow()) {
            rows.add(cells.row().stream().map(Cells.Cell::value).toList());
        }
        return rows;
    }

    private static String written(List<List<String>> rows) {
        CellSyntax syntax = new CellSyntax(false, ',');
        return rows.stream()
                .map(row -> row.stream()
                        .map(each -> syntax.written(Content.of(each)))
                        .collect(Collectors.joining(",")))
                .map(row -> row + "\n")
                .collect(Collectors.joining());
    }

    @Provide
    Arbitrary<List<List<String>>> tables() {
        return Arbitraries.strings()
                .withChars('a', '"', ',', '\n', ' ', 'ü')
                .ofMinLength(1)
                .ofMaxLength(6)
                .list()
                .ofMinSize(1)
                .ofMaxSize(4)
                .list()
                .ofMaxSize(5);
    }

    @Property
    void whatIsWrittenIsReadAgain(@ForAll("tables") List<List<String>> table) {
        assertThat(read(written(table))).isEqualTo(table);
    }

    @Property
    void anyTextIsReadToItsEnd(@ForAll String text) {
        Cells cells = new Cells(text, ',');
        int last = 0;
        while (cells.hasRow()) {
            for (Cells.Cell cell : cells.row()) {
                assertThat(cell.start()).isGreaterThanOrEqualTo(last);
                assertThat(cell.end()).isBetween(cell.start(), text.length());
                last = cell.end();
            }
        }
    }

    @Test
    void everyKindOfLineEndEndsARow() {
        assertThat(read("a,b\r\nc\rd\n,\n"))
                .containsExactly(List.of("a", "b"), List.of("c"), List.of("d"), List.of("", ""));
    }
}
