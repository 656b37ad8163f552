package org.swaplane.format.resources;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.swaplane.document.Note;
import org.swaplane.format.DocumentSample;

class ResourceFormatsTest {
    private static final String ANDROID = """
            <?xml version="1.0" encoding="utf-8"?>
            <resources xmlns:x="urn:oasis:names:tc:xliff:document:1.2">
              <!-- on the quay -->
              <string name="title">It\\'s <b>time</b> for %1$s\\n&amp; more</string>
              <string name="line">By <x:g id="who">Marram</x:g></string>
              <string name="key" translatable="false">abc</string>
              <string-array name="piers"><item>North</item><item>South</item></string-array>
              <plurals name="seats"><item quantity="one">%d seat</item><item quantity="other">%d seats</item></plurals>
            </resources>
            """;
    private static final String DOT_NET = """
            <root>
              <resheader name="version"><value>two</value></resheader>
              <data name="Title" xml:space="preserve"><value>Times &lt;br&gt;</value><comment>short</comment></data>
              <data name="Icon" type="System.Drawing.Icon"><value>AAAA</value></data>
            </root>
            """;

    @Test
    void androidStringsItemsAndPluralsAreUnits() throws IOException {
        DocumentSample sample = DocumentSample.of("strings.xml", ANDROID);

        assertThat(sample.extracted())
                .containsExactly(
                        "title: It's ⟦1⟧time⟦/1⟧ for ⟦2/⟧\n& more",
                        "line: By ⟦1/⟧",
                        "piers/0: North",
                        "piers/1: South",
                        "seats/one: ⟦1/⟧ seat",
                        "seats/other: ⟦1/⟧ seats");
        assertThat(sample.open().document().segments().get(0).notes())
                .extracting(Note::text)
                .containsExactly("on the quay");
    }

    @Test
    void androidTextIsEscapedAsAProgramWantsIt() throws IOException {
        String written =
                DocumentSample.of("strings.xml", ANDROID).translated(text -> text.replace("time", "l'heure \"x\" <"));

        assertThat(written).isEqualTo(ANDROID.replace("<b>time</b>", "<b>l\\'heure \\\"x\\\" &lt;</b>"));
    }

    @Test
    void dotNetStringsAreUnitsAndNothingElse() throws IOException {
        DocumentSample sample = DocumentSample.of("Board.resx", DOT_NET);

        assertThat(sample.extracted()).containsExactly("Title: Times ⟦1/⟧");
        assertThat(sample.translated(text -> text.toUpperCase(Locale.ROOT)))
                .isEqualTo(DOT_NET.replace("Times", "TIMES"));
        assertThat(sample.written(List.of())).isEqualTo(sample.bytes());
    }
}
