package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.Charset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.task.CannotProceedException;

class GuessedEncodingTest {
    private static final Charset LATIN = Charset.forName("windows-1252");

    @ParameterizedTest
    @CsvSource({
        "UTF-8, Fähre nach Nethersay",
        "windows-1252, Die Fähre fährt ab.",
        "Shift_JIS, 船は六時四十分に第二埠頭から出発します。遅れないでください。",
        "KOI8-R, 'Паром отходит от причала номер два каждый день, кроме воскресенья.'"
    })
    void aTextThatSaysNothingIsToldByItsBytes(String charset, String text) throws IOException {
        Source source = Source.of("a.txt", text.getBytes(Charset.forName(charset)));

        assertThat(EncodedText.guessed(source, FileOptions.NONE).readAll()).isEqualTo(text);
    }

    @Test
    void aByteOrderMarkDecides() throws IOException {
        byte[] marked = "\uFEFFFähre".getBytes(Charset.forName("UTF-16LE"));

        EncodedText text = EncodedText.guessed(Source.of("a.txt", marked), FileOptions.NONE);

        assertThat(text.readAll()).isEqualTo("Fähre");
        assertThat(text.encoding().label()).isEqualTo("UTF-16LE+BOM");
    }

    @Test
    void whatAPlainTextCannotHoldIsRefusedWithItsSegment() throws IOException {
        DocumentSample sample = DocumentSample.of("a.txt", "Fähre", LATIN);
        List<SegmentEdit> edits = DocumentSample.translated(sample.open(), text -> "łódź");

        assertThatThrownBy(() -> sample.written(edits))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("a.txt")
                .hasMessageContaining("segment 1")
                .hasMessageContaining("U+0142");
    }
}
