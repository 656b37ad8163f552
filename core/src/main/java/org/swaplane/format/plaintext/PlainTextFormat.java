package org.swaplane.format.plaintext;

import java.io.IOException;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.format.TextDocument;
import org.swaplane.task.Progress;

/** Text without any structure but lines. */
public final class PlainTextFormat implements BilingualFormat {
    private static final Pattern LINE = Pattern.compile("[^\\r\\n]+");

    @Override
    public String id() {
        return "text";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(
                id(),
                FormatTraits.of(FormatTraits.Markup.LINES)
                        .withoutEscapes()
                        .goingOn()
                        .ofLines());
    }

    @Override
    public boolean recognises(Head head) {
        return head.extension().equals("txt");
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        EncodedText text = EncodedText.guessed(source, options);
        TextDocument.Builder document = new TextDocument.Builder(text, options);
        Matcher line = LINE.matcher(text.readAll());
        int number = 1;
        while (line.find()) {
            document.add(
                    String.valueOf(number++),
                    line.start(),
                    line.end(),
                    Content.of(line.group()),
                    Content::withCodes,
                    SegmentMetadata.NOTHING);
        }
        return document.build("text", CharacterEscapes.NONE);
    }
}
