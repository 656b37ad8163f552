package org.swaplane.format.po;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.format.TextEncoding;
import org.swaplane.task.Progress;

/** PO and POT. */
public final class PoFormat implements BilingualFormat {
    private static final Set<String> EXTENSIONS = Set.of("po", "pot");
    private static final Pattern CHARSET = Pattern.compile("(?i)Content-Type:[^\"\\\\]*charset=([\\w.:-]+)");
    private static final int HEAD = 8192;

    @Override
    public String id() {
        return "po";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(id(), FormatTraits.of(FormatTraits.Markup.CATALOGUE).withoutEscapes());
    }

    @Override
    public boolean recognises(Head head) {
        return EXTENSIONS.contains(head.extension()) && head.text().contains("msgid");
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        return new PoReader(decoded(source, options), options, progress).read();
    }

    /** In the encoding that the header declares, unless there is a byte order mark or somebody overruled it. */
    private static EncodedText decoded(Source source, FileOptions options) throws IOException {
        byte[] head;
        try (InputStream in = source.open()) {
            head = in.readNBytes(HEAD);
        }
        Matcher declared = CHARSET.matcher(new String(head, StandardCharsets.ISO_8859_1));
        boolean asked = options.document().encoding().isEmpty()
                && TextEncoding.marked(head).isEmpty()
                && declared.find();
        if (asked) {
            try {
                return EncodedText.of(source, TextEncoding.of(Charset.forName(declared.group(1))));
            } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
                // Such as the word CHARSET in a template, which says nothing.
                return EncodedText.guessed(source, options);
            }
        }
        return EncodedText.guessed(source, options);
    }
}
