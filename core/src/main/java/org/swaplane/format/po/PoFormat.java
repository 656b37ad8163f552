package org.swaplane.format.po;

import java.io.IOException;
import java.nio.charset.Charset;
import java.util.Set;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** PO and POT. */
public final class PoFormat implements BilingualFormat {
    private static final Set<String> EXTENSIONS = Set.of("po", "pot");

    @Override
    public String id() {
        return "po";
    }

    @Override
    public boolean recognises(Head head) {
        return EXTENSIONS.contains(head.extension()) && head.text().contains("msgid");
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        return new PoReader(EncodedText.guessed(source, options, Charset.forName("ISO-8859-1")), options, progress)
                .read();
    }
}
