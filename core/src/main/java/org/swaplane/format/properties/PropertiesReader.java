package org.swaplane.format.properties;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.document.Note;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.IcuMessage;
import org.swaplane.format.TextDocument;
import org.swaplane.format.UnitSyntax;
import org.swaplane.placeholder.PlaceholderTags;

/** One pass over the lines of a .properties file. */
final class PropertiesReader {
    /** A comment, or a key with its separator and a value that may go on over lines that end in a backslash. */
    private static final Pattern LINE = Pattern.compile(
            "(?<blank>[ \\t\\f]*(?=[\\r\\n]|\\z))"
                    + "|[ \\t\\f]*[#!](?<comment>[^\\r\\n]*)"
                    + "|[ \\t\\f]*(?<key>(?:\\\\(?:\\r\\n|.)|[^\\s\\\\=:])++)(?<separator>[ \\t\\f]*[=:]?[ \\t\\f]*)"
                    + "(?<value>(?:\\\\(?:\\r\\n|.)|[^\\r\\n\\\\])*+)",
            Pattern.DOTALL);

    private static final Pattern ESCAPE =
            Pattern.compile("\\\\(?:u([0-9a-fA-F]{4})|(\\r\\n|.)[ \\t\\f]*)", Pattern.DOTALL);
    private static final Pattern ARGUMENT = Pattern.compile("\\{\\d");
    private static final Pattern QUOTED_BRACE = Pattern.compile("'[{}]");

    private final EncodedText text;
    private final FileOptions options;
    private final PlaceholderTags placeholders;

    PropertiesReader(EncodedText text, FileOptions options) {
        this.text = text;
        this.options = options;
        this.placeholders = options.placeholderTags();
    }

    BilingualFile read() throws IOException {
        String all = text.readAll();
        boolean ascii = all.chars().allMatch(c -> c < 0x80) && all.contains("\\u");
        TextDocument.Builder document = new TextDocument.Builder(text, options);
        List<Note> notes = new ArrayList<>();
        Matcher line = LINE.matcher(all);
        int at = 0;
        while (at < all.length() && line.region(at, all.length()).lookingAt()) {
            if (line.group("comment") != null) {
                notes.add(new Note(line.group("comment").strip(), ""));
            } else if (line.group("key") != null) {
                add(document, line, notes, ascii);
                notes.clear();
            } else {
                notes.clear();
            }
            at = line.end();
            at += all.startsWith("\r\n", at) ? 2 : at < all.length() ? 1 : 0;
        }
        return document.build("properties", CharacterEscapes.BACKSLASH_U);
    }

    private void add(TextDocument.Builder document, Matcher line, List<Note> notes, boolean ascii) {
        String value = unescaped(line.group("value"));
        Optional<IcuMessage> message = IcuMessage.of(value, placeholders, true);
        if (message.isPresent()) {
            UnitSyntax syntax = new PropertiesSyntax(false, ascii).inside(message.get());
            document.add(
                    unescaped(line.group("key")),
                    line.start("value"),
                    line.end("value"),
                    message.get(),
                    syntax,
                    SegmentMetadata.ofNotes(notes));
            return;
        }
        boolean isMessage =
                ARGUMENT.matcher(value).find() && !QUOTED_BRACE.matcher(value).find();
        Content content = placeholders.tagged(isMessage ? value.replace("''", "'") : value);
        document.add(
                unescaped(line.group("key")),
                line.start("value"),
                line.end("value"),
                content,
                new PropertiesSyntax(isMessage, ascii),
                SegmentMetadata.ofNotes(notes));
    }

    private static String unescaped(String written) {
        return ESCAPE.matcher(written)
                .replaceAll(escape -> Matcher.quoteReplacement(
                        escape.group(1) != null
                                ? String.valueOf((char) Integer.parseInt(escape.group(1), 16))
                                : character(escape.group())));
    }

    /** An escape other than that by number; only a line end takes the white space behind it with it. */
    private static String character(String escape) {
        char c = escape.charAt(1);
        return switch (c) {
            case '\r', '\n' -> "";
            case 'n' -> "\n" + escape.substring(2);
            case 't' -> "\t" + escape.substring(2);
            case 'r' -> "\r" + escape.substring(2);
            case 'f' -> "\f" + escape.substring(2);
            default -> escape.substring(1);
        };
    }
}
