package org.swaplane.format.markdown;

import java.io.IOException;
import java.util.Map;
import java.util.Set;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** Markdown, with or without front matter. */
public final class MarkdownFormat implements BilingualFormat {
    private static final Set<String> EXTENSIONS = Set.of("md", "markdown");

    @Override
    public String id() {
        return "markdown";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(
                id(),
                FormatTraits.of(FormatTraits.Markup.MARKDOWN)
                        .withoutEscapes()
                        .ofLines()
                        .selectable()
                        .withPlaceholders());
    }

    @Override
    public boolean recognises(Head head) {
        return EXTENSIONS.contains(head.extension());
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        EncodedText text = EncodedText.guessed(source, options);
        return new MarkdownReader(text, options).read();
    }
}
