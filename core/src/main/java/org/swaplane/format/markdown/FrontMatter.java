package org.swaplane.format.markdown;

import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.FileOptions;
import org.swaplane.format.TextDocument;
import org.swaplane.placeholder.PlaceholderTags;

/** The lines between {@code ---} at the begin of a page (YAML): names with a value on the same line are looked at, the rest stays. */
final class FrontMatter {
    private static final Pattern WHOLE =
            Pattern.compile("\\A---[ \\t]*\\R(?<lines>(?:.*\\R)*?)(?:---|\\.\\.\\.)[ \\t]*(?:\\R|\\z)");
    private static final Pattern VALUE = Pattern.compile(
            "(?m)^(?<name>[\\w.-]+)[ \\t]*:[ \\t]+(?<value>\"(?:[^\"\\\\\\r\\n]|\\\\.)*+\"|'(?:[^'\\r\\n]|'')*+'|[^\\s\"'|>\\[{&*!#%@`][^\\r\\n]*?)[ \\t]*$");

    /** What pages call the texts that people read, where nobody says which to translate. */
    private static final Set<String> TEXTS =
            Set.of("title", "subtitle", "description", "summary", "excerpt", "caption", "headline", "abstract");

    private FrontMatter() {}

    /** Adds what it finds and returns where the page itself begins. */
    static int read(String text, TextDocument.Builder document, FileOptions options) {
        Matcher whole = WHOLE.matcher(text);
        if (!whole.find()) {
            return 0;
        }
        PlaceholderTags placeholders = options.placeholderTags();
        Matcher value = VALUE.matcher(text).region(0, whole.end("lines"));
        while (value.find()) {
            String name = value.group("name");
            boolean chosen = options.document().selection().takesAll()
                    ? TEXTS.contains(name)
                    : options.document().selection().includes('/' + name);
            if (chosen) {
                YamlSyntax syntax = YamlSyntax.of(value.group("value"));
                String written = value.group("value");
                int quote = syntax == YamlSyntax.PLAIN ? 0 : 1;
                document.add(
                        name,
                        value.start("value") + quote,
                        value.end("value") - quote,
                        placeholders.tagged(syntax.read(written.substring(quote, written.length() - quote))),
                        syntax,
                        SegmentMetadata.NOTHING);
            }
        }
        return whole.end();
    }
}
