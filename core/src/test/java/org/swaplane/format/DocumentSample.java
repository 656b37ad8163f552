package org.swaplane.format;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.TagNotation;
import org.swaplane.content.Text;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.task.Progress;

/** A document for a test: extracted, translated by a rule, and merged again. */
public record DocumentSample(String name, byte[] bytes, FileOptions options) {
    public static DocumentSample of(String name, String text) {
        return of(name, text, StandardCharsets.UTF_8);
    }

    public static DocumentSample of(String name, String text, Charset charset) {
        return new DocumentSample(name, text.getBytes(charset), FileOptions.ofLanguages("en-GB", "de-DE"));
    }

    public DocumentSample with(FileOptions other) {
        return new DocumentSample(name, bytes, other);
    }

    public DocumentFile open() throws IOException {
        return (DocumentFile) FormatRegistry.ofInstalled().open(Source.of(name, bytes), options, Progress.NONE);
    }

    /** The segments as {@code key: text} in tag notation. */
    public List<String> extracted() throws IOException {
        return open().document().segments().stream()
                .map(segment -> segment.key() + ": " + TagNotation.write(segment.source(), segment.source()))
                .toList();
    }

    /** Edits that do this to the text of every segment. */
    public static List<SegmentEdit> translated(DocumentFile file, UnaryOperator<String> translation) {
        List<SegmentEdit> edits = new ArrayList<>();
        List<Segment> segments = file.document().segments();
        for (int i = 0; i < segments.size(); i++) {
            List<Run> runs = new ArrayList<>(segments.get(i).source().runs());
            runs.replaceAll(run -> run instanceof Text text ? new Text(translation.apply(text.value())) : run);
            edits.add(new SegmentEdit(i, new Content(runs), State.TRANSLATED));
        }
        return edits;
    }

    public byte[] written(List<SegmentEdit> edits) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        open().write(edits, out, Progress.NONE);
        return out.toByteArray();
    }

    /** The document in the target language, decoded as UTF-8. */
    public String translated(UnaryOperator<String> translation) throws IOException {
        return new String(written(translated(open(), translation)), StandardCharsets.UTF_8);
    }
}
