package org.swaplane.format.properties;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** Java .properties (the format of {@link java.util.Properties}), in UTF-8 or ISO-8859-1. */
public final class PropertiesFormat implements BilingualFormat {
    @Override
    public String id() {
        return "properties";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(id(), FormatTraits.of(FormatTraits.Markup.PROPERTIES).withPlaceholders());
    }

    @Override
    public boolean recognises(Head head) {
        return head.extension().equals("properties");
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        EncodedText text = EncodedText.utf8Or(StandardCharsets.ISO_8859_1, source, options);
        return new PropertiesReader(text, options).read();
    }
}
