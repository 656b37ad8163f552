package org.swaplane.convert;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import org.swaplane.document.BilingualDocument;
import org.swaplane.exchange.CopyRows;
import org.swaplane.exchange.FileExchange;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SafeXml;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.task.Progress;

/** A file of 14 rows with everything that copies are tried on, and the copy that is made of it. */
final class SentFile {
    private static final FormatRegistry FORMATS = FormatRegistry.ofInstalled();

    private static final String FILE = """
            <xliff version="1.2" xmlns="urn:oasis:names:tc:xliff:document:1.2"><file original="a.json" source-language="en-GB" target-language="de-DE" datatype="plaintext"><body>
            <trans-unit id="u1"><source>Pier</source><target>Kai</target></trans-unit>
            <trans-unit id="u2"><source>Press <g id="1">OK</g> now.</source><target>Jetzt <g id="1">OK</g> drücken.</target></trans-unit>
            <trans-unit id="u3"><source><g id="1">Day</g> and <g id="2">night</g></source><target><g id="1">Tag</g> und <g id="2">Nacht</g></target></trans-unit>
            <trans-unit id="u4" translate="no"><source>GBP</source><target>GBP</target></trans-unit>
            <trans-unit id="u5"><source>Ticket</source><target>Fahrschein</target></trans-unit>
            <trans-unit id="u6"><source>Ticket</source><target>Karte</target></trans-unit>
            <trans-unit id="u7"><source>Deck 3</source><target>Deck 3</target></trans-unit>
            <trans-unit id="u8"><source>Timetable</source><target>Fahrplan</target></trans-unit>
            <trans-unit id="u9"><source>Harbour</source><target>Hafen</target></trans-unit>
            <trans-unit id="u10"><source>Bicycle</source><target>Fahrrad</target></trans-unit>
            <trans-unit id="u11"><source>Luggage</source><target></target></trans-unit>
            <trans-unit id="u12"><source>Crew</source><target>
              Besatzung
            </target></trans-unit>
            <trans-unit id="u13"><source>Press <g id="1">Start</g> now.</source></trans-unit>
            <trans-unit id="u14" xml:space="preserve"><source>Ferry
            Pier</source><target>Fähre
            Anleger</target></trans-unit>
            </body></file></xliff>
            """;

    private SentFile() {}

    static Source source() {
        return Source.of("a.xlf", FILE.getBytes(StandardCharsets.UTF_8));
    }

    static ReviewCopy copy() throws IOException {
        BilingualDocument document = FORMATS.open(source(), Progress.NONE).document();
        CopyRows.Owner owner = new CopyRows.Owner("", 0, FileExchange.trip(document));
        List<Integer> all =
                IntStream.range(0, document.segments().size()).boxed().toList();
        ReviewCopy.Part part = new CopyRows(document).part(owner, "a.xlf", all, 0);
        return new ReviewCopy("a.xlf", List.of("Please correct."), "en-GB", "de-DE", List.of(part));
    }

    /** What comes back of it. */
    static CopyReturn.Result read(String form, byte[] copy) throws IOException {
        return new CopyReturn(FORMATS, CopyReturn.Accepting.SAFE)
                .read(List.of(source()), Source.of("back." + form, copy), Progress.NONE)
                .get(0);
    }

    /** The file with all that is accepted by default, which must be well-formed. */
    static String written(CopyReturn.Result result) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        result.file().write(result.edits(), out, Progress.NONE);
        var xml = SafeXml.factory().createXMLStreamReader(new ByteArrayInputStream(out.toByteArray()));
        while (xml.hasNext()) {
            xml.next();
        }
        return out.toString(StandardCharsets.UTF_8);
    }
}
