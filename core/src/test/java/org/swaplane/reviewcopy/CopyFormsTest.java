package org.swaplane.reviewcopy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;

/** What every form of review copy must do. */
class CopyFormsTest {
    private static final ReviewCopyFormats FORMATS = ReviewCopyFormats.ofInstalled();

    private static byte[] write(String form, ReviewCopy copy) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        FORMATS.byExtension(form).orElseThrow().write(copy, out);
        return out.toByteArray();
    }

    private static ReturnedCopy read(String form, byte[] bytes) throws IOException {
        return FORMATS.read(Source.of("back." + form, bytes));
    }

    @Property(tries = 150)
    void everyTextComesBackAsItWent(
            @ForAll("forms") String form, @ForAll("texts") String source, @ForAll("texts") String target)
            throws IOException {
        ReturnedCopy back = read(form, write(form, SampleCopies.copy(source, target, "Pier", "Kai")));
        ReturnedRow row = back.rows().get(0);

        assertThat(row.source()).isEqualTo(source);
        assertThat(row.target()).isEqualTo(target);
        assertThat(row.irregularities()).isEmpty();
        assertThat(row.remarks()).isEmpty();
        assertThat(back.remarks()).isEmpty();
        assertThat(back.sent().target(SampleCopies.TRIP, 1)).contains(target);
        assertThat(back.identities()).isEqualTo(List.of(SampleCopies.identity(2)));
    }

    @Provide
    Arbitrary<String> forms() {
        return Arbitraries.of("docx", "xlsx", "html", "tsv");
    }

    /** Line breaks never stand at the edges of a cell. */
    @Provide
    Arbitrary<String> texts() {
        return Arbitraries.of(
                        "Wort",
                        " ",
                        "  ",
                        "–",
                        "\t",
                        "⟦1⟧",
                        "⟦/1⟧",
                        "⟦2/⟧",
                        "⟦⟦",
                        "<w:t>",
                        "&amp;",
                        "عبّارة",
                        "渡し船🚢",
                        "\u00A0",
                        "a\nb",
                        "=1+1",
                        "\"",
                        ";",
                        "_x0041_",
                        "</script>",
                        "12",
                        "1,5")
                .list()
                .ofMinSize(1)
                .ofMaxSize(6)
                .map(pieces -> String.join("", pieces))
                .filter(text -> !text.isBlank());
    }

    @ParameterizedTest
    @ValueSource(strings = {"docx", "xlsx", "html", "tsv"})
    void theSameCopyIsTheSameBytes(String form) throws IOException {
        assertThat(write(form, SampleCopies.copy("a", "b"))).isEqualTo(write(form, SampleCopies.copy("a", "b")));
    }

    @ParameterizedTest
    @ValueSource(strings = {"docx", "xlsx", "html", "tsv"})
    void rowsForContextAreShownAndNotRead(String form) throws IOException {
        ReviewCopy.Part part = SampleCopies.copy("Pier", "Kai").parts().get(0);
        ReviewRow context = new ReviewRow(Optional.empty(), "Before", "Davor", "", false);
        ReviewCopy copy = new ReviewCopy(
                "info.xlf",
                List.of(),
                "en-GB",
                "de-DE",
                List.of(new ReviewCopy.Part(
                        part.identity(),
                        "info.xlf",
                        List.of(context, part.rows().get(0)))));

        assertThat(read(form, write(form, copy)).rows())
                .extracting(ReturnedRow::source)
                .containsExactly("Pier");
    }

    @ParameterizedTest
    @ValueSource(strings = {"docx", "xlsx", "html", "tsv"})
    void aCopyOfSeveralFilesKeepsThemApart(String form) throws IOException {
        ReviewCopy.Part first = SampleCopies.copy("Pier", "Kai").parts().get(0);
        CopyIdentity other = new CopyIdentity("lane-1", 5, "ABCDE", 1, "en-GB", "de-DE", "");
        ReviewRow row = new ReviewRow(Optional.of(RowCode.of("ABCDE", 1, "0123456789")), "Deck", "Oberdeck", "", false);
        ReviewCopy copy = new ReviewCopy(
                "two files",
                List.of(),
                "en-GB",
                "de-DE",
                List.of(first, new ReviewCopy.Part(other, "other.xlf", List.of(row))));

        ReturnedCopy back = read(form, write(form, copy));

        assertThat(back.trips()).containsExactlyInAnyOrder(SampleCopies.TRIP, "ABCDE");
        assertThat(back.of("ABCDE", back.trips()).rows())
                .extracting(ReturnedRow::target)
                .containsExactly("Oberdeck");
        assertThat(back.of(SampleCopies.TRIP, back.trips()).rows())
                .extracting(ReturnedRow::target)
                .containsExactly("Kai");
    }

    @Test
    void textsThatWereAlteredInsideTheCopyAreNone() throws IOException {
        String page = new String(write("html", SampleCopies.copy("Pier", "Kai")), StandardCharsets.UTF_8);
        int at = page.indexOf("id=\"sent\">") + 90;
        String altered = page.substring(0, at) + (page.charAt(at) == 'A' ? 'B' : 'A') + page.substring(at + 1);

        assertThat(read("html", altered.getBytes(StandardCharsets.UTF_8)).sent().isEmpty())
                .isTrue();
    }

    @Test
    void richTextNamesTheWayOut() {
        Source rtf = Source.of("back.rtf", "{\\rtf1\\ansi K7Q2M}".getBytes(StandardCharsets.US_ASCII));

        assertThatThrownBy(() -> FORMATS.read(rtf))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("save it as DOCX or ODT");
    }
}
