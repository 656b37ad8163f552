package org.swaplane.placeholder;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Finds placeholders in plain text by named patterns. */
public final class Placeholders {
    private static final List<Kind> DEFAULT = List.of(
            new Kind("double-brace", "\\{\\{\\s*[\\p{L}_][\\w.-]*\\s*\\}\\}"),
            new Kind("dollar-brace", "\\$\\{[\\p{L}_][\\w.]*\\}"),
            new Kind("percent-brace", "%\\{[\\p{L}_]\\w*\\}"),
            new Kind("percent-name", "%\\([\\p{L}_]\\w*\\)[a-zA-Z]"),
            new Kind("numbered-brace", "\\{\\d+(?:,\\s*[^{}]*)?\\}"),
            new Kind("named-brace", "\\{[\\p{L}_][\\w.-]*\\}"),
            // '5 % discount' is no conversion: a blank flag only counts right before digits or a letter without one
            // after it.
            new Kind(
                    "printf",
                    "%(?:%|(?:\\d+\\$)?[-+#0]*\\d*(?:\\.\\d+)?(?:hh|h|ll|l|z|j|t)?[@sdiufFeEgGxXoc](?![\\p{L}]))"),
            new Kind("entity", "&(?:#\\d+|#x[0-9A-Fa-f]+|[a-zA-Z][a-zA-Z0-9]*);"),
            new Kind("element", "</?[a-zA-Z][\\w-]*(?:\\s+[\\w-]+\\s*=\\s*(?:\"[^\"]*\"|'[^']*'))*\\s*/?>"));

    private final List<Kind> kinds;
    private final Pattern any;

    /** A named pattern. */
    public record Kind(String name, String pattern) {}

    /** One placeholder at {@code [start, end)} of the text. */
    public record Found(int start, int end, String written) {}

    public Placeholders() {
        this(DEFAULT);
    }

    public Placeholders(List<Kind> kinds) {
        this.kinds = List.copyOf(kinds);
        this.any = Pattern.compile(
                String.join("|", this.kinds.stream().map(Kind::pattern).toList()));
    }

    /** The placeholders in the order of the text, without overlap. */
    public List<Found> find(String text) {
        List<Found> result = new ArrayList<>();
        Matcher matcher = any.matcher(text);
        while (matcher.find()) {
            result.add(new Found(matcher.start(), matcher.end(), matcher.group()));
        }
        return result;
    }

    /** The text with every placeholder replaced by as many of {@code filler}, so that offsets stay. */
    public String mask(String text, char filler) {
        StringBuilder result = new StringBuilder(text);
        for (Found found : find(text)) {
            for (int i = found.start(); i < found.end(); i++) {
                result.setCharAt(i, filler);
            }
        }
        return result.toString();
    }
}
