package org.swaplane.format.tmx;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.swaplane.document.Problem;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.SegmentSink;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** TMX, translation memory exchange: 1.4b (LISA OSCAR, 2005), and 1.1 to 1.3, which hold less. */
public final class TmxFormat implements BilingualFormat {
    public static final String ID = "tmx";

    private static final Pattern ROOT = Pattern.compile("<tmx[\\s>]");

    @Override
    public String id() {
        return ID;
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(id(), FormatTraits.of(FormatTraits.Markup.XML).goingOn().asMemory());
    }

    @Override
    public boolean recognises(Head head) {
        return ROOT.matcher(head.text()).find();
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        return new TmxReader(EncodedText.of(source), options, progress).read();
    }

    @Override
    public List<Problem> stream(Source source, Progress progress, SegmentSink sink) throws IOException {
        return TmxUnits.read(source, progress, sink);
    }
}
