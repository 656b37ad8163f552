package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** A document that goes out as XLIFF, is translated there, and comes back, is the document that would have been written here. */
class DocumentRoundTripTest {
    private static final List<String> TEXTS = List.of(
            "page.md", "# The *quay*\n\nOne [link](x.md). Two {name}.\n\n| a | b |\n|---|---|\n| Pier | Fare |\n",
            "table.csv", "id,Text,Note\nA1,\"One. Two, {x}\",go\n",
            "page.xml", "<a><p>One <b>bold</b> text. Two &amp; three.</p><p>Four</p></a>",
            "film.srt", "1\n00:00:01,000 --> 00:00:02,000\nAll <i>aboard</i>\nnow\n",
            "cart.json", "{\"a\": \"{n, plural, one {# ferry} other {# ferries}} left. Hurry!\", \"b\": \"Quay\"}");

    private final FormatRegistry formats = FormatRegistry.ofInstalled();

    @TempDir
    private Path folder;

    static Stream<Arguments> documents() {
        return Stream.of(
                        "page.md",
                        "table.csv",
                        "page.xml",
                        "film.srt",
                        "cart.json",
                        "leaflet.docx",
                        "timetable.html",
                        "messages.properties")
                .flatMap(name -> Stream.of(Arguments.of(name, false), Arguments.of(name, true)));
    }

    private Path document(String name) throws IOException {
        int at = TEXTS.indexOf(name);
        return at < 0
                ? DemoLane.writeDocuments(folder.resolve("demo")).resolve(name)
                : Files.writeString(folder.resolve(name), TEXTS.get(at + 1));
    }

    private static List<SegmentEdit> translated(List<Segment> segments) {
        List<SegmentEdit> edits = new ArrayList<>();
        for (int i = 0; i < segments.size(); i++) {
            List<Run> runs = new ArrayList<>(segments.get(i).source().runs());
            runs.replaceAll(
                    run -> run instanceof Text text ? new Text(text.value().toUpperCase(Locale.ROOT)) : run);
            edits.add(new SegmentEdit(i, new Content(runs), State.TRANSLATED));
        }
        return edits;
    }

    private static byte[] written(BilingualFile file) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        file.write(translated(file.document().segments()), out, Progress.NONE);
        return out.toByteArray();
    }

    @ParameterizedTest
    @MethodSource("documents")
    void throughXliffItIsTheSame(String name, boolean old) throws IOException {
        Path document = document(name);
        Path xliff = folder.resolve(name + ".xlf");
        NewFile.write(
                xliff,
                false,
                new Conversion(
                                formats,
                                FileOptions.ofLanguages("en", "de"),
                                old ? Optional.of(Conversion.XliffVersion.V1_2) : Optional.empty())
                        .writer(document, xliff, Progress.NONE));

        byte[] answer = written(formats.open(Source.of(xliff), Progress.NONE));
        Merge merge = new Merge(formats, Source.of(document), Source.of(name + ".xlf", answer), Progress.NONE);
        ByteArrayOutputStream merged = new ByteArrayOutputStream();
        merge.write(merged);

        assertThat(merge.problems()).isEmpty();
        BilingualFile here = formats.open(Source.of(document), FileOptions.ofLanguages("en", "de"), Progress.NONE);
        assertThat(merged.toByteArray()).isEqualTo(written(here));
    }
}
