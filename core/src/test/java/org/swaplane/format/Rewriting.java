package org.swaplane.format;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.State;
import org.swaplane.task.Progress;

/** A file given as text, read with all installed formats, edited, and written back as text. */
public record Rewriting(String file, FileOptions options) {
    public static Rewriting of(String file) {
        return new Rewriting(file, FileOptions.NONE);
    }

    public Rewriting with(FileOptions other) {
        return new Rewriting(file, other);
    }

    public BilingualFile open() throws IOException {
        Source source = Source.of("info.xml", file.getBytes(StandardCharsets.UTF_8));
        return FormatRegistry.ofInstalled().open(source, options, Progress.NONE);
    }

    public BilingualDocument document() throws IOException {
        return open().document();
    }

    public String write(SegmentEdit... edits) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        open().write(List.of(edits), out, Progress.NONE);
        return out.toString(StandardCharsets.UTF_8);
    }

    public static SegmentEdit translated(int segment, String target) {
        return new SegmentEdit(segment, Content.of(target), State.TRANSLATED);
    }
}
