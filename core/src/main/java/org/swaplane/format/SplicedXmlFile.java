package org.swaplane.format;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.TagOrder;
import org.swaplane.document.BilingualDocument;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** A bilingual XML file that is written by splicing what changed into a copy of it. */
public abstract class SplicedXmlFile implements BilingualFile {
    protected final EncodedText text;
    protected final BilingualDocument document;

    protected SplicedXmlFile(EncodedText text, BilingualDocument document) {
        this.text = text;
        this.document = document;
    }

    /** Adds what must be written for these edits: whole pieces to {@code splices}, attributes to {@code tags}. */
    protected abstract void collect(List<SegmentEdit> edits, List<Splice> splices, TagEdits tags);

    @Override
    public final BilingualDocument document() {
        return document;
    }

    @Override
    public final void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        for (SegmentEdit edit : edits) {
            refuseBrokenTags(edit);
        }
        List<Splice> splices = new ArrayList<>();
        TagEdits tags = new TagEdits();
        collect(edits, splices, tags);
        splices.addAll(tags.splices());
        SplicedCopy.write(text, splices, out, progress);
    }

    /** Nothing that is written may be malformed, wherever the target came from. */
    private void refuseBrokenTags(SegmentEdit edit) {
        if (!TagOrder.isWritable(edit.target())) {
            String key = document.segments().get(edit.segment()).key();
            throw new CannotProceedException(text.source().name(), "problem.tags-malformed", key);
        }
    }
}
