package org.swaplane.format.html;

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

/** HTML and XHTML pages and fragments. */
public final class HtmlFormat implements BilingualFormat {
    private static final Charset USUAL = Charset.forName("windows-1252");
    private static final Set<String> EXTENSIONS = Set.of("html", "htm", "xhtml");
    private static final Pattern ROOT = Pattern.compile("(?i)^\\s*<(?:!doctype\\s+html|html[\\s>])");
    private static final Pattern CHARSET = Pattern.compile("(?i)<meta[^>]*charset\\s*=\\s*[\"']?([\\w.:-]+)");
    private static final int HEAD = 4096;

    @Override
    public String id() {
        return "html";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(id(), FormatTraits.of(FormatTraits.Markup.HTML));
    }

    @Override
    public boolean recognises(Head head) {
        return EXTENSIONS.contains(head.extension())
                || ROOT.matcher(head.text()).find();
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        return new HtmlReader(decoded(source, options), options, progress).read();
    }

    /** In the encoding that the page declares, unless it has a byte order mark. */
    private static EncodedText decoded(Source source, FileOptions options) throws IOException {
        byte[] head;
        try (InputStream in = source.open()) {
            head = in.readNBytes(HEAD);
        }
        Matcher declared = CHARSET.matcher(new String(head, StandardCharsets.ISO_8859_1));
        if (!options.document().encoding().isEmpty()
                || TextEncoding.marked(head).isPresent()
                || !declared.find()) {
            return EncodedText.guessed(source, options);
        }
        try {
            return EncodedText.of(source, TextEncoding.of(Charset.forName(declared.group(1))));
        } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
            return EncodedText.guessed(source, options);
        }
    }
}
