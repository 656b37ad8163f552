package org.swaplane.placeholder;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.swaplane.task.PatientText;

/** Finds placeholders in plain text by named patterns. */
public final class Placeholders {
    /** Elements of HTML that texts of programs hold; any other name in angle brackets can be a word that people fill in. */
    private static final String KNOWN =
            "(?i:a|abbr|b|big|br|center|cite|code|del|div|em|font|h[1-6]|hr|i|img|ins|kbd|li|ol|p|pre|q|s|samp"
                    + "|small|span|strike|strong|sub|sup|table|tbody|td|th|tr|tt|u|ul|var|wbr)";

    private static final String ATTRIBUTES = "(?:\\s+[\\w:-]+\\s*=\\s*(?:\"[^\"]*\"|'[^']*'))";

    /** A known element, or one that is closed, that closes itself or that has attributes. */
    private static final String ELEMENT =
            "</[a-zA-Z][\\w-]*\\s*>|<" + KNOWN + ATTRIBUTES + "*\\s*/?>|<[a-zA-Z][\\w-]*(?:" + ATTRIBUTES
                    + "+\\s*/?|\\s*/)>|<(?<element>[a-zA-Z][\\w-]*)>(?=[^\\u0000]{0,2000}?</\\k<element>\\s*>)";

    /** The kinds that ship with the application. */
    static final List<Kind> SHIPPED = List.of(
            new Kind("double-brace", "{{name}}", '{', "\\{\\{\\s*[\\p{L}_][\\w.-]*\\s*\\}\\}"),
            new Kind("dollar-brace", "${name}", '$', "\\$\\{[\\p{L}_][\\w.]*\\}"),
            new Kind("percent-brace", "%{name}", '%', "%\\{[\\p{L}_]\\w*\\}"),
            new Kind("percent-name", "%(name)s", '%', "%\\([\\p{L}_]\\w*\\)[a-zA-Z]"),
            new Kind("numbered-brace", "{0}", '{', "\\{\\d+(?:[,:]\\s*[^{}]*)?\\}"),
            new Kind(
                    "formatted-brace",
                    "{name, date}",
                    '{',
                    "\\{\\s*[\\p{L}_]\\w*\\s*,\\s*(?:number|date|time|spellout|ordinal|duration)\\s*(?:,[^{}]*)?\\}"),
            new Kind("dollar-name", "$name$", '$', "\\$[\\p{L}_]\\w*\\$"),
            new Kind("named-brace", "{name}", '{', "\\{[\\p{L}_][\\w.-]*\\}"),
            // '5 % discount' and '5%discount' are no conversions; '%sB' is one.
            new Kind(
                    "printf",
                    "%1$s",
                    '%',
                    "%(?:%|(?:\\d+\\$)?[-+#0I]*\\d*(?:\\.\\d+)?(?:hh|h|ll|l|z|j|t)?[@sdiufFeEgGxXoc](?!\\p{IsLatin})"
                            + "|(?<!\\p{N}%)(?:\\d+\\$)?(?:hh|h|ll|l|z|j|t)?[sdiuxX](?=\\p{IsLatin}))"),
            new Kind("entity", "&amp;", '&', "&(?:#\\d+|#x[0-9A-Fa-f]+|[a-zA-Z][a-zA-Z0-9]*);"),
            new Kind("element", "<b>", '<', ELEMENT));

    private static final int ASCII = 0x80;

    private final List<Kind> kinds;
    private final String starts;
    private final BitSet asciiStarts = new BitSet(ASCII);
    private final boolean beginAnywhere;
    private final Pattern any;

    /** A named pattern, and the character that everything begins with that it finds; {@link #ANY} where that can be any. */
    public record Kind(String name, String example, char start, String pattern) {
        static final char ANY = '\0';

        static Kind anywhere(String name, String pattern) {
            return new Kind(name, "", ANY, pattern);
        }
    }

    /** One placeholder at {@code [start, end)} of the text. */
    public record Found(int start, int end, String written) {}

    public Placeholders() {
        this(SHIPPED.stream()
                .filter(kind -> !PlaceholderRules.DEFAULT.off().contains(kind.name()))
                .toList());
    }

    public Placeholders(List<Kind> kinds) {
        this.kinds = List.copyOf(kinds);
        this.starts = this.kinds.stream()
                .map(kind -> String.valueOf(kind.start()))
                .distinct()
                .collect(Collectors.joining());
        starts.chars().filter(c -> c < ASCII).forEach(asciiStarts::set);
        this.beginAnywhere = starts.indexOf(Kind.ANY) >= 0;
        this.any = Pattern.compile(
                String.join("|", this.kinds.stream().map(Kind::pattern).toList()));
    }

    /** The placeholders in the order of the text, without overlap. */
    public List<Found> find(String text) {
        List<Found> result = new ArrayList<>();
        Matcher matcher = any.matcher(beginAnywhere ? new PatientText(text, "a pattern for placeholders") : text);
        matcher.useTransparentBounds(true);
        int at = 0;
        while (at < text.length()) {
            // Most characters begin none; asking the pattern everywhere costs more than all other checks together.
            boolean begins = (beginAnywhere || begins(text.charAt(at)))
                    && matcher.region(at, text.length()).lookingAt()
                    && matcher.end() > at;
            if (begins) {
                result.add(new Found(at, matcher.end(), matcher.group()));
            }
            at = begins ? matcher.end() : at + 1;
        }
        return result;
    }

    private boolean begins(char c) {
        return c < ASCII && asciiStarts.get(c) || c >= ASCII && starts.indexOf(c) >= 0;
    }

    /** The text with every placeholder replaced by as many of {@code filler}, so that offsets stay. */
    public String mask(String text, char filler) {
        List<Found> found = find(text);
        if (found.isEmpty()) {
            return text;
        }
        StringBuilder result = new StringBuilder(text);
        for (Found each : found) {
            for (int i = each.start(); i < each.end(); i++) {
                result.setCharAt(i, filler);
            }
        }
        return result.toString();
    }
}
