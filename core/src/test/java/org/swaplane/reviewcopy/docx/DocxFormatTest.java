package org.swaplane.reviewcopy.docx;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.swaplane.document.Fingerprint;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.Revision;
import org.swaplane.reviewcopy.RowCode;
import org.swaplane.reviewcopy.SampleCopies;
import org.swaplane.task.CannotProceedException;

class DocxFormatTest {
    private static byte[] write(ReviewCopy copy) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new DocxFormat().write(copy, out);
        return out.toByteArray();
    }

    private static ReturnedCopy read(byte[] file) throws IOException {
        return new DocxFormat().read(Source.of("back.docx", file));
    }

    /** A document with one table row; the target cell holds {@code paragraphs}. */
    private static ReturnedRow row(String paragraphs) throws IOException {
        String code = RowCode.of("K7Q2M", 1, Fingerprint.ofWritten("source")).written();
        String row = "<w:tr>" + cell("1") + cell("source") + "<w:tc>" + paragraphs + "</w:tc>" + cell("") + cell(code)
                + "</w:tr>";
        return read(document(row)).rows().get(0);
    }

    private static String cell(String text) {
        return "<w:tc><w:p><w:r><w:t>" + text + "</w:t></w:r></w:p></w:tc>";
    }

    private static byte[] document(String rows) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("word/document.xml"));
            zip.write(
                    ("<w:document xmlns:w='http://schemas.openxmlformats.org/wordprocessingml/2006/main'><w:body><w:tbl>"
                                    + rows + "</w:tbl></w:body></w:document>")
                            .getBytes(StandardCharsets.UTF_8));
            zip.putNextEntry(new ZipEntry("word/comments.xml"));
            zip.write(("<w:comments xmlns:w='http://schemas.openxmlformats.org/wordprocessingml/2006/main'>"
                            + "<w:comment w:id='7' w:author='Ines Falk' w:date='2026-11-20T10:00:00Z'><w:p><w:r><w:t>why </w:t></w:r><w:r><w:t>so?</w:t></w:r></w:p></w:comment></w:comments>")
                    .getBytes(StandardCharsets.UTF_8));
        }
        return bytes.toByteArray();
    }

    @Test
    void aCopyIsRecognisedByWhatIsInside() throws IOException {
        ReturnedCopy returned = read(write(SampleCopies.copy("Pier", "Kai", "Deck", "Deck")));

        assertThat(returned.trip()).contains("K7Q2M");
        assertThat(returned.identities()).isEqualTo(List.of(SampleCopies.identity(2)));
        assertThat(returned.rows()).extracting(ReturnedRow::target).containsExactly("Kai", "Deck");
    }

    @Test
    void theSameCopyIsTheSameBytes() throws IOException {
        assertThat(write(SampleCopies.copy("a", "b"))).isEqualTo(write(SampleCopies.copy("a", "b")));
    }

    @Property(tries = 200)
    void everyTextComesBackAsItWent(@ForAll("texts") String source, @ForAll("texts") String target) throws IOException {
        ReturnedRow row = read(write(SampleCopies.copy(source, target))).rows().get(0);

        assertThat(row.source()).isEqualTo(source);
        assertThat(row.target()).isEqualTo(target);
        assertThat(row.remarks()).isEmpty();
    }

    @Provide
    Arbitrary<String> texts() {
        return Arbitraries.of(
                        "Wort", " ", "  ", "\n", "\t", "⟦1⟧", "⟦/1⟧", "⟦2/⟧", "⟦⟦", "<w:t>", "&amp;", "عبّارة", "渡し船🚢",
                        "\u00A0")
                .list()
                .ofMaxSize(6)
                .map(pieces -> String.join("", pieces));
    }

    @Test
    void insertionsCountAndDeletionsDoNot() throws IOException {
        ReturnedRow row = row(
                "<w:p><w:r><w:t xml:space='preserve'>um </w:t></w:r>"
                        + "<w:del w:author='A' w:date='2026-11-20T09:00:00Z'><w:r><w:delText>15:04</w:delText></w:r></w:del>"
                        + "<w:ins w:author='Ines Falk' w:date='2026-11-20T10:00:00Z'><w:r><w:t>14:05</w:t></w:r></w:ins></w:p>");

        assertThat(row.target()).isEqualTo("um 14:05");
        assertThat(row.revision()).contains(new Revision("Ines Falk", "2026-11-20T10:00:00Z"));
    }

    @Test
    void movedTextIsReadWhereItWent() throws IOException {
        ReturnedRow row =
                row("<w:p><w:moveFrom w:author='A'><w:r><w:t>alt </w:t></w:r></w:moveFrom><w:r><w:t>neu</w:t></w:r>"
                        + "<w:moveTo w:author='A'><w:r><w:t> alt</w:t></w:r></w:moveTo></w:p>");

        assertThat(row.target()).isEqualTo("neu alt");
    }

    @Test
    void paragraphsAreLineEndsUnlessTheirMarkIsDeleted() throws IOException {
        String deletedMark = "<w:pPr><w:rPr><w:del w:author='A'/></w:rPr></w:pPr>";

        assertThat(row("<w:p><w:r><w:t>a</w:t></w:r></w:p><w:p><w:r><w:t>b</w:t></w:r></w:p>")
                        .target())
                .isEqualTo("a\nb");
        assertThat(row("<w:p>" + deletedMark + "<w:r><w:t>a</w:t></w:r></w:p><w:p><w:r><w:t>b</w:t></w:r></w:p>")
                        .target())
                .isEqualTo("ab");
    }

    @Test
    void runsThatWordProcessorsSplitAreOneText() throws IOException {
        assertThat(
                        row("<w:p><w:pPr><w:tabs><w:tab w:pos='9'/></w:tabs></w:pPr><w:r><w:rPr><w:lang w:val='de'/></w:rPr><w:t>Fäh</w:t></w:r>"
                                        + "<w:proofErr/><w:bookmarkStart w:id='0'/><w:r><w:t>re</w:t><w:noBreakHyphen/><w:t>1</w:t></w:r></w:p>")
                                .target())
                .isEqualTo("Fähre\u20111");
    }

    @Test
    void fieldCodesAreNotText() throws IOException {
        assertThat(row("<w:p><w:r><w:instrText>HYPERLINK x</w:instrText></w:r><w:r><w:t>Seite</w:t></w:r></w:p>")
                        .target())
                .isEqualTo("Seite");
    }

    @Test
    void commentsBecomeRemarks() throws IOException {
        ReturnedRow row = row("<w:p><w:r><w:t>neu</w:t></w:r><w:r><w:commentReference w:id='7'/></w:r></w:p>");

        assertThat(row.remarks()).containsExactly(new Remark("Ines Falk", "2026-11-20T10:00:00Z", "why so?"));
    }

    @Test
    void aRowMarkedAsDeletedIsGone() throws IOException {
        String code = RowCode.of("K7Q2M", 1, Fingerprint.ofWritten("s")).written();
        String deleted = "<w:tr><w:trPr><w:del w:author='A'/></w:trPr>" + cell("1") + cell("s") + cell("t") + cell("")
                + cell(code) + "</w:tr>";
        String kept = deleted.replace("<w:del w:author='A'/>", "");

        assertThat(read(document(deleted + kept)).rows()).hasSize(1);
    }

    @Test
    void aRowWithoutItsCodeIsStillARow() throws IOException {
        String good = "<w:tr>" + cell("1") + cell("s") + cell("t") + cell("")
                + cell(RowCode.of("K7Q2M", 1, "aaaaaaaa").written()) + "</w:tr>";
        String bare = "<w:tr>" + cell("2") + cell("s2") + cell("t2") + cell("note") + cell("") + "</w:tr>";
        String foreign = "<w:tr>" + cell("price") + cell("list") + "</w:tr>";

        List<ReturnedRow> rows = read(document(good + bare + foreign)).rows();

        assertThat(rows).hasSize(2);
        assertThat(rows.get(1).code()).isEmpty();
        assertThat(rows.get(1).target()).isEqualTo("t2");
        assertThat(rows.get(1).remarks()).extracting(Remark::text).containsExactly("note");
    }

    @Test
    void aDocumentThatIsNotOursIsRefusedInOneLine() throws IOException {
        byte[] foreign = document("<w:tr>" + cell("a") + cell("b") + "</w:tr>");

        assertThatThrownBy(() -> read(foreign))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageStartingWith("back.docx: this document is not a review copy from Swap Lane");
    }

    @Test
    void aDocumentThatIsBrokenInsideIsRefusedInOneLine() throws IOException {
        byte[] broken = document("<w:tr><w:oops>");

        assertThatThrownBy(() -> read(broken))
                .isInstanceOf(CannotProceedException.class)
                .message()
                .doesNotContain("\n");
    }
}
