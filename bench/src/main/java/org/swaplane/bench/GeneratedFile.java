package org.swaplane.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** A file of any size in each of the XML formats, in the manner of the demo. */
enum GeneratedFile {
    XLIFF_12(
            "<xliff version=\"1.2\" xmlns=\"urn:oasis:names:tc:xliff:document:1.2\" xmlns:h=\"urn:example:harbour-desk\">\n"
                    + "<file original=\"big.json\" source-language=\"en-GB\" target-language=\"de-DE\" datatype=\"plaintext\"><body>\n",
            """
                  <trans-unit id="u%1$d" h:screen="s%2$d">
                    <source>Ferry number %1$d leaves <g id="1" ctype="bold">Gullwick</g> at %3$02d:%4$02d with {count} passengers, bicycles &amp; luggage.</source>
                    <target state="translated">Fähre Nummer %1$d verlässt <g id="1" ctype="bold">Gullwick</g> um %3$02d:%4$02d Uhr mit {count} Personen, Rädern &amp; Gepäck.</target>
                    <note from="client">Row %1$d of the timetable</note>
                  </trans-unit>
            """,
            "</body></file></xliff>\n"),
    XLIFF_2(
            "<xliff version=\"2.1\" xmlns=\"urn:oasis:names:tc:xliff:document:2.0\" xmlns:h=\"urn:example:harbour-desk\""
                    + " srcLang=\"en-GB\" trgLang=\"de-DE\">\n<file id=\"f\" original=\"big.json\">\n",
            """
                  <unit id="u%1$d" h:screen="s%2$d">
                    <notes><note category="client">Row %1$d of the timetable</note></notes>
                    <segment id="s1" state="translated">
                      <source>Ferry number %1$d leaves <pc id="1" dispStart="b">Gullwick</pc> at %3$02d:%4$02d with {count} passengers, bicycles &amp; luggage.</source>
                      <target>Fähre Nummer %1$d verlässt <pc id="1" dispStart="b">Gullwick</pc> um %3$02d:%4$02d Uhr mit {count} Personen, Rädern &amp; Gepäck.</target>
                    </segment>
                  </unit>
            """,
            "</file></xliff>\n"),
    TMX(
            "<tmx version=\"1.4\"><header srclang=\"en-GB\" segtype=\"sentence\" datatype=\"plaintext\" adminlang=\"en\" o-tmf=\"x\"/><body>\n",
            """
                  <tu tuid="u%1$d" changedate="20261123T093000Z">
                    <prop type="screen">s%2$d</prop>
                    <tuv xml:lang="en-GB"><seg>Ferry number %1$d leaves <bpt i="1" x="1">&lt;b></bpt>Gullwick<ept i="1">&lt;/b></ept> at %3$02d:%4$02d with {count} passengers, bicycles &amp; luggage.</seg></tuv>
                    <tuv xml:lang="de-DE"><seg>Fähre Nummer %1$d verlässt <bpt i="1" x="1">&lt;b></bpt>Gullwick<ept i="1">&lt;/b></ept> um %3$02d:%4$02d Uhr mit {count} Personen, Rädern &amp; Gepäck.</seg></tuv>
                  </tu>
            """,
            "</body></tmx>\n");

    private final String head;
    private final String unit;
    private final String tail;

    GeneratedFile(String head, String unit, String tail) {
        this.head = head;
        this.unit = unit;
        this.tail = tail;
    }

    /** Writes so many units into a temporary file. */
    Path write(int units) throws IOException {
        Path file = Files.createTempFile("swaplane-bench", ".xml");
        write(file, 0, units);
        return file;
    }

    /** Writes units into a file, counted from a number on, so that several files have different texts. */
    void write(Path file, int first, int units) throws IOException {
        try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
            out.write("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n" + head);
            for (int i = first; i < first + units; i++) {
                out.write(String.format(Locale.ROOT, unit, i, i % 40, i % 24, i % 60));
            }
            out.write(tail);
        }
    }
}
