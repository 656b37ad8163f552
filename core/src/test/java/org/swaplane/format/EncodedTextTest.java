package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class EncodedTextTest {
    private static EncodedText of(byte[] bytes) throws IOException {
        return EncodedText.of(Source.of("a.xml", bytes));
    }

    private static String read(EncodedText text, int chunk) throws IOException {
        StringBuilder all = new StringBuilder();
        char[] chars = new char[chunk];
        try (Reader in = text.open()) {
            for (int read = in.read(chars, 0, chunk); read >= 0; read = in.read(chars, 0, chunk)) {
                all.append(chars, 0, read);
            }
        }
        return all.toString();
    }

    @ParameterizedTest
    @CsvSource({
        "windows-1252, <?xml version='1.0' encoding='windows-1252'?>, windows-1252",
        "ISO-8859-15, <?xml version=\"1.0\" encoding=\"iso-8859-15\"?>, ISO-8859-15",
        "UTF-8, <?xml version='1.0'?>, UTF-8",
        "UTF-8, <a>, UTF-8",
        "UTF-8, <?xml version='1.0' encoding='UTF-16'?>, UTF-8",
        "UTF-16LE, <?xml version='1.0' encoding='UTF-16'?>, UTF-16LE",
        "UTF-16BE, <a>, UTF-16BE"
    })
    void theEncodingIsFoundFromTheFirstBytes(String written, String head, String label) throws IOException {
        assertThat(of(head.getBytes(Charset.forName(written))).encoding().label())
                .isEqualTo(label);
    }

    @Test
    void aByteOrderMarkIsKeptApart() throws IOException {
        EncodedText text = of("\uFEFF<a>ä</a>".getBytes(StandardCharsets.UTF_8));

        assertThat(text.encoding().label()).isEqualTo("UTF-8+BOM");
        assertThat(read(text, 100)).isEqualTo("<a>ä</a>");
        assertThat(text.byteOrderMark()).hasSize(3);
    }

    @Property(tries = 200)
    void piecesOfAnySizeGiveTheWholeText(
            @ForAll @StringLength(max = 60) String text, @ForAll @IntRange(min = 2, max = 9) int chunk)
            throws IOException {
        String written = new String(text.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8);
        byte[] bytes = ("<a>" + written).getBytes(StandardCharsets.UTF_8);

        assertThat(read(of(bytes), chunk)).isEqualTo("<a>" + written);
    }

    @Test
    void aFileThatEndsInTheMiddleOfACharacterIsRefused() throws IOException {
        byte[] bytes = {'<', 'a', '>', '\n', 'x', (byte) 0xC3};

        assertThatThrownBy(() -> read(of(bytes), 10))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageStartingWith("a.xml:2:2: byte 0xC3 is not UTF-8");
    }

    @Test
    void splicesArePutInWhereTheyBelongInAnyOrder() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        List<Splice> splices = List.of(
                new Splice(6, 7, "b", old -> old.toUpperCase(Locale.ROOT)), new Splice(3, 3, "a", none -> "🚢"));

        SplicedCopy.write(of("<a>äöüx</a>".getBytes(StandardCharsets.UTF_8)), splices, out, Progress.NONE);

        assertThat(out.toString(StandardCharsets.UTF_8)).isEqualTo("<a>🚢äöüX</a>");
    }

    @Test
    void splicesThatOverlapAreAMistakeOfOurs() throws IOException {
        EncodedText text = of("<a>xyz</a>".getBytes(StandardCharsets.UTF_8));
        List<Splice> splices = List.of(new Splice(3, 5, "a", old -> ""), new Splice(4, 6, "b", old -> ""));

        assertThatThrownBy(() -> SplicedCopy.write(text, splices, new ByteArrayOutputStream(), Progress.NONE))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
