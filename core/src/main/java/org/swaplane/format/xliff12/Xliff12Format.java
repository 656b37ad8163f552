package org.swaplane.format.xliff12;

import java.io.IOException;
import java.util.Map;
import java.util.regex.Pattern;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** XLIFF 1.2 (OASIS, 2008), and 1.0 and 1.1, which differ from it only in what is kept untouched here. */
public final class Xliff12Format implements BilingualFormat {
    public static final String ID = "xliff-1.2";

    private static final Pattern ROOT = Pattern.compile("<([\\w.-]+:)?xliff\\s[^>]*");
    private static final Pattern VERSION = Pattern.compile("\\sversion\\s*=\\s*[\"']1\\.");

    @Override
    public String id() {
        return ID;
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(id(), FormatTraits.of(FormatTraits.Markup.XML).goingOn());
    }

    @Override
    public boolean recognises(Head head) {
        var root = ROOT.matcher(head.text());
        return root.find() && VERSION.matcher(root.group()).find();
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        return new Xliff12Reader(EncodedText.of(source), options, progress).read();
    }
}
