package org.swaplane.format.office;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.TextDocument;
import org.swaplane.task.Progress;

/**
 * A diagram as its program drew it last, kept beside the diagram's data. Programs show it until they draw anew, so it gets the
 * translations of the data; its texts are not segments of their own.
 *
 * @param text the texts of the drawing
 */
record DrawnDiagram(String entry, TextDocument text) {
    /** The drawing with the targets that its texts have elsewhere in the document; empty where none of them has one. */
    Optional<byte[]> written(List<Segment> segments, List<SegmentEdit> edits, Progress progress) throws IOException {
        Map<String, String> targets = new HashMap<>();
        for (SegmentEdit edit : edits) {
            Content source = segments.get(edit.segment()).source();
            if (!edit.target().isEmpty()) {
                targets.put(TagNotation.write(source, source), TagNotation.write(edit.target(), source));
            }
        }
        List<Segment> own = text.document().segments();
        List<SegmentEdit> redrawn = new ArrayList<>();
        for (int i = 0; i < own.size(); i++) {
            Content source = own.get(i).source();
            String target = targets.get(TagNotation.write(source, source));
            if (target != null) {
                redrawn.add(new SegmentEdit(i, TagNotation.read(target, source).content(), State.TRANSLATED));
            }
        }
        if (redrawn.isEmpty()) {
            return Optional.empty();
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        text.write(redrawn, bytes, progress);
        return Optional.of(bytes.toByteArray());
    }
}
