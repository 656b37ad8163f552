package org.swaplane.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** An XLIFF 1.2 file of any size, in the manner of the demo. */
final class GeneratedXliff {
    private static final String UNIT = """
                  <trans-unit id="u%1$d" h:screen="s%2$d">
                    <source>Ferry number %1$d leaves <g id="1" ctype="bold">Gullwick</g> at %3$02d:%4$02d with {count} passengers, bicycles &amp; luggage.</source>
                    <target state="translated">Fähre Nummer %1$d verlässt <g id="1" ctype="bold">Gullwick</g> um %3$02d:%4$02d Uhr mit {count} Personen, Rädern &amp; Gepäck.</target>
                    <note from="client">Row %1$d of the timetable</note>
                  </trans-unit>
            """;

    private GeneratedXliff() {}

    static Path write(int units) throws IOException {
        Path file = Files.createTempFile("swaplane-bench", ".xlf");
        try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
            out.write(
                    "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<xliff version=\"1.2\""
                            + " xmlns=\"urn:oasis:names:tc:xliff:document:1.2\" xmlns:h=\"urn:example:harbour-desk\">\n"
                            + "<file original=\"big.json\" source-language=\"en-GB\" target-language=\"de-DE\" datatype=\"plaintext\"><body>\n");
            for (int i = 0; i < units; i++) {
                out.write(String.format(Locale.ROOT, UNIT, i, i % 40, i % 24, i % 60));
            }
            out.write("</body></file></xliff>\n");
        }
        return file;
    }
}
