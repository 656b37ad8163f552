package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.exchange.StructureProblem.Kind.*;

import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.function.Consumer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.swaplane.exchange.StructureProblem;

/** What programs do to a copy that is not in its cells: tracked changes, styles, types, layout. Row 9 is "Hafen". */
class FormTortureTest {
    /**
     * @param applied numbers of the rows that are accepted by default
     * @param said kinds of problems, each once
     */
    private record Case(
            String form,
            String name,
            Consumer<WrittenCopy> done,
            List<Integer> applied,
            List<StructureProblem.Kind> said,
            List<String> remarks) {
        Case(
                String form,
                String name,
                Consumer<WrittenCopy> done,
                List<Integer> applied,
                StructureProblem.Kind... said) {
            this(form, name, done, applied, Arrays.asList(said), List.of());
        }

        Case saying(String... texts) {
            return new Case(form, name, done, applied, said, List.of(texts));
        }

        @Override
        public String toString() {
            return form + ": " + name;
        }
    }

    private static final String RUN =
            "<w:r><w:rPr><w:lang w:val=\"de-DE\" w:bidi=\"de-DE\"/></w:rPr><w:t xml:space=\"preserve\">Hafen</w:t></w:r>";

    private static Case docx(String name, String run, List<Integer> applied, StructureProblem.Kind... said) {
        return new Case("docx", name, copy -> copy.replace(RUN, run), applied, said);
    }

    private static String run(String properties, String text) {
        return "<w:r><w:rPr>" + properties + "</w:rPr><w:t xml:space=\"preserve\">" + text + "</w:t></w:r>";
    }

    private static String tracked(String kind, String inside) {
        return "<w:" + kind + " w:author=\"Ines Falk\" w:date=\"2026-11-20T09:00:00Z\">" + inside + "</w:" + kind + ">";
    }

    private static final String PARAGRAPH = "</w:p><w:p>";

    private static Consumer<WrittenCopy> withStyles(String styles, String run) {
        return copy -> {
            copy.edit("word/styles.xml", part -> part.replace("</w:styles>", styles + "</w:styles>"));
            copy.replace(RUN, run);
        };
    }

    private static final List<Case> WORD_PROCESSOR = List.of(
            docx("a run inserted", RUN + tracked("ins", run("", " Nord")), List.of(9)),
            docx("a run deleted", tracked("del", "<w:r><w:delText>Hafen</w:delText></w:r>"), List.of(), EMPTIED),
            docx(
                    "a strike-through that was taken back",
                    run("<w:rPrChange w:author='I'><w:rPr><w:strike/></w:rPr></w:rPrChange>", "Hafen"),
                    List.of()),
            docx("struck through", run("<w:strike/>", "Alter ") + run("", "Hafen"), List.of()),
            docx(
                    "struck through and answered",
                    run("<w:strike/>", "Hafen") + run("", "Seehafen"),
                    List.of(9),
                    TEXT_STRUCK),
            docx("struck through no more", run("<w:strike w:val='0'/>", "Seehafen"), List.of(9)),
            docx("hidden", run("<w:vanish/>", "intern ") + run("", "Seehafen"), List.of(9), TEXT_HIDDEN),
            new Case(
                    "docx",
                    "struck through by a style of characters",
                    withStyles(
                            "<w:style w:type='character' w:styleId='Old'><w:rPr><w:strike/></w:rPr></w:style>"
                                    + "<w:style w:type='character' w:styleId='Older'><w:basedOn w:val='Old'/></w:style>",
                            run("<w:rStyle w:val='Older'/>", "Hafen") + run("", "Seehafen")),
                    List.of(9),
                    TEXT_STRUCK),
            docx(
                    "an arrow of a font",
                    run("", "Hafen ") + "<w:r><w:sym w:font='Wingdings' w:char='F0E0'/></w:r>",
                    List.of(9)),
            docx(
                    "a picture of a font",
                    run("", "Hafen ") + "<w:r><w:sym w:font='Webdings' w:char='F021'/></w:r>",
                    List.of(),
                    SYMBOL),
            docx("a paragraph more", RUN + PARAGRAPH + run("", "Nord"), List.of(9)),
            docx(
                    "a paragraph moved away",
                    RUN + "</w:p><w:p><w:pPr><w:rPr><w:moveFrom w:author='I'/></w:rPr></w:pPr>"
                            + tracked("moveFrom", run("", "Nord")) + PARAGRAPH,
                    List.of()),
            docx(
                    "automatic numbers",
                    RUN.replace("Hafen", "See") + "</w:p><w:p><w:pPr><w:numPr><w:numId w:val='3'/></w:numPr></w:pPr>"
                            + run("", "Hafen"),
                    List.of(),
                    LINES_NUMBERED),
            docx(
                            "how a word is read",
                            "<w:r><w:ruby><w:rubyPr/><w:rt>" + run("", "Port") + "</w:rt><w:rubyBase>" + RUN
                                    + "</w:rubyBase></w:ruby></w:r>",
                            List.of())
                    .saying("Port"),
            docx(
                            "a box in the cell",
                            RUN + "<w:r><w:pict><w:txbxContent><w:p>" + run("", "In a box")
                                    + "</w:p></w:txbxContent></w:pict></w:r>",
                            List.of())
                    .saying("In a box"),
            docx(
                    "a cell that was deleted",
                    RUN + "</w:p></w:tc><w:tc><w:tcPr><w:cellDel w:author='I'/></w:tcPr><w:p>",
                    List.of()),
            new Case(
                            "docx",
                            "words in a footnote, the header and the footer",
                            copy -> {
                                String part =
                                        "<w:x xmlns:w='http://schemas.openxmlformats.org/wordprocessingml/2006/main'><w:p>";
                                for (String name : List.of("footnotes", "header1", "footer2")) {
                                    copy.parts.put(
                                            "word/" + name + ".xml", part + run("", "In " + name) + "</w:p></w:x>");
                                }
                            },
                            List.of())
                    .saying("In footnotes", "In header1", "In footer2"),
            new Case(
                            "docx",
                            "a line in the style of the instructions",
                            copy -> copy.replace(
                                    "<w:tbl>",
                                    "<w:p><w:pPr><w:pStyle w:val='Instruction'/></w:pPr>" + run("", "By Friday, please")
                                            + "</w:p><w:tbl>"),
                            List.of())
                    .saying("By Friday, please"));

    private static Case html(
            String name, String what, String by, List<Integer> applied, StructureProblem.Kind... said) {
        return new Case("html", name, copy -> copy.replace(what, by), applied, said);
    }

    private static final List<Case> BROWSER = List.of(
            new Case(
                    "html",
                    "laid out anew",
                    copy -> copy.edit("", page -> page.replaceAll("(<t[dh][^>]*>)", "\n      $1\n        ")
                            .replaceAll("</t([dh])>", "\n      </t$1>")
                            .replace("Jetzt ", "Jetzt\n          ")),
                    List.of()),
            new Case(
                    "html",
                    "laid out anew, with an answer",
                    copy -> {
                        copy.replace(">Hafen</td>", ">Alter Hafen</td>");
                        copy.edit("", page -> page.replaceAll("(<t[dh][^>]*>)", "$1\n   ")
                                .replace("Alter ", "Alter\n   "));
                    },
                    List.of(9)),
            html("a paragraph more", ">Hafen</td>", "><p>Hafen</p><p>Nord</p></td>", List.of(9)),
            html("deleted words", ">Hafen</td>", "><del>Alter</del> Hafen</td>", List.of()),
            html("how a word is read", ">Hafen</td>", "><ruby>Hafen<rt>Port</rt></ruby></td>", List.of())
                    .saying("Port"),
            html("a numbered line", ">Hafen</td>", "><ol><li>Hafen</li></ol></td>", List.of(), LINES_NUMBERED),
            html("words around the table", "<table", "<p>Hello there</p><table", List.of())
                    .saying("Hello there"),
            html("words in the head of the page", "Please correct.", "Please correct. Thank you!", List.of())
                    .saying("Please correct. Thank you!"));

    private static final String CELL = " t=\"inlineStr\"><is><t xml:space=\"preserve\">Hafen</t></is></c>";

    private static Case xlsx(String name, String cell, List<Integer> applied, StructureProblem.Kind... said) {
        return new Case("xlsx", name, copy -> copy.replace(CELL, cell), applied, said);
    }

    /** A number format of its own for all cells. */
    private static Case dated(String name, String code, String value) {
        return new Case(
                "xlsx",
                name,
                copy -> {
                    copy.edit("xl/styles.xml", part -> part.replaceFirst(
                                    "<fonts",
                                    "<numFmts count='1'><numFmt numFmtId='170' formatCode='" + code
                                            + "'/></numFmts><fonts")
                            .replaceAll("<xf numFmtId=\"\\d+\"", "<xf numFmtId=\"170\""));
                    copy.replace(CELL, "><v>" + value + "</v></c>");
                },
                List.of(),
                CELL_CALCULATED);
    }

    private static final List<Case> SPREADSHEET = List.of(
            xlsx("a date", "><v>45293</v></c>", List.of(), CELL_CALCULATED),
            dated("a date that is shown as one", "d.m.yyyy", "45293"),
            xlsx("a truth value", " t=\"b\"><v>1</v></c>", List.of(), CELL_CALCULATED),
            xlsx("an error", " t=\"e\"><v>#NAME?</v></c>", List.of(), CELL_CALCULATED),
            xlsx("a number in the place of a word", "><v>7</v></c>", List.of(), CELL_CALCULATED),
            xlsx("a formula", " t=\"str\"><f>A1</f><v>Seehafen</v></c>", List.of(), CELL_CALCULATED),
            new Case(
                    "xlsx",
                    "ranges that reach to the end of the sheet",
                    copy -> copy.edit(
                            copy.main(),
                            part -> part.replace(
                                    "</worksheet>",
                                    "<mergeCells>" + "<mergeCell ref=\"H1:XFD9999999\"/>".repeat(5_000)
                                            + "</mergeCells></worksheet>")),
                    List.of()),
            new Case(
                            "xlsx",
                            "a word in the last column",
                            copy -> copy.replace(
                                    "</row></sheetData>",
                                    "<c r=\"XFD19\" t=\"str\"><v>far away</v></c></row></sheetData>"),
                            List.of())
                    .saying("far away"),
            new Case(
                            "xlsx",
                            "words in a shape and at the edge of the page",
                            copy -> {
                                copy.parts.put("xl/drawings/drawing1.xml", "<d><p><t>In a shape</t></p></d>");
                                copy.edit(
                                        copy.main(),
                                        part -> part.replace(
                                                "</worksheet>",
                                                "<headerFooter><oddHeader>&amp;CAt the edge</oddHeader></headerFooter></worksheet>"));
                            },
                            List.of())
                    .saying("In a shape", "At the edge"));

    static List<Case> cases() {
        return List.of(WORD_PROCESSOR, BROWSER, SPREADSHEET).stream()
                .flatMap(List::stream)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void whatAProgramDoesIsReadAsItShowsIt(Case done) throws Exception {
        WrittenCopy copy = new WrittenCopy(SentFile.copy(), done.form());
        done.done().accept(copy);

        CopyReturn.Result result = SentFile.read(done.form(), copy.bytes());

        assertThat(result.edits()).extracting(edit -> edit.segment() + 1).containsExactlyElementsOf(done.applied());
        assertThat(new TreeSet<>(result.reading().problems().stream()
                        .map(StructureProblem::kind)
                        .toList()))
                .containsExactlyInAnyOrderElementsOf(done.said());
        assertThat(result.reading().remarks())
                .extracting(remark -> remark.remark().text())
                .containsExactlyInAnyOrderElementsOf(done.remarks());
        SentFile.written(result);
    }
}
