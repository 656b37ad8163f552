package org.swaplane.format.tmx;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.swaplane.document.Note;
import org.swaplane.document.Problem;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.SegmentSink;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** Reads a TMX file translation by translation and holds none of them, for memories of any size. */
final class TmxUnits {
    private TmxUnits() {}

    /** Hands over every translation; returns what is odd about the file. */
    static List<Problem> read(Source source, Progress progress, SegmentSink sink) throws IOException {
        Pass pass = new Pass(EncodedText.of(source), progress, sink);
        try {
            return pass.read();
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private static final class Pass extends TmxPass {
        private final SegmentSink sink;

        Pass(EncodedText text, Progress progress, SegmentSink sink) {
            super(text, FileOptions.NONE, progress);
            this.sink = sink;
        }

        List<Problem> read() throws IOException {
            run();
            return problems;
        }

        @Override
        void found(String unit, Variant source, List<Variant> variants, List<Note> notes) {
            for (Variant variant : variants) {
                if (variant != source && !variant.content().isEmpty()) {
                    try {
                        sink.translation(new SegmentSink.Translation(
                                source.language(),
                                variant.language(),
                                source.content(),
                                variant.content(),
                                variant.authorship(),
                                notes));
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                }
            }
        }
    }
}
