package org.swaplane.format.xliff2;

import java.io.IOException;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** XLIFF 2 (OASIS, 2.0 of 2014, 2.1 of 2018, and 2.2). */
public final class Xliff2Format implements BilingualFormat {
    public static final String ID = "xliff-2";

    private static final Pattern ROOT = Pattern.compile("<([\\w.-]+:)?xliff\\s[^>]*");
    private static final Pattern VERSION = Pattern.compile("\\sversion\\s*=\\s*[\"']2\\.");

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
        Matcher root = ROOT.matcher(head.text());
        return root.find() && VERSION.matcher(root.group()).find();
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        return new Xliff2Reader(EncodedText.of(source), options, progress).read();
    }
}
