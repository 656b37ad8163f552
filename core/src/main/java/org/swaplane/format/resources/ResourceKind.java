package org.swaplane.format.resources;

import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.format.UnitSyntax;
import org.swaplane.format.XmlContent;

/** The two kinds of string resources: which elements hold text, and how it is escaped there beyond what XML asks for. */
enum ResourceKind implements UnitSyntax {
    ANDROID(Set.of("string", "item")) {
        @Override
        String read(String text) {
            return ESCAPE.matcher(text).replaceAll(escape -> Matcher.quoteReplacement(unescaped(escape)));
        }

        @Override
        String escaped(String text) {
            return text.replace("\\", "\\\\")
                    .replace("'", "\\'")
                    .replace("\"", "\\\"")
                    .replace("\n", "\\n")
                    .replace("\t", "\\t");
        }
    },
    DOT_NET(Set.of("value")) {
        @Override
        String read(String text) {
            return text;
        }

        @Override
        String escaped(String text) {
            return text;
        }
    };

    private static final Pattern ESCAPE = Pattern.compile("\\\\(?:u([0-9a-fA-F]{4})|(.))", Pattern.DOTALL);

    private final Set<String> elements;

    ResourceKind(Set<String> elements) {
        this.elements = elements;
    }

    boolean holdsText(String element) {
        return elements.contains(element);
    }

    /** What the kind's own escapes stand for. */
    abstract String read(String text);

    abstract String escaped(String text);

    private static String unescaped(MatchResult escape) {
        if (escape.group(1) != null) {
            return String.valueOf((char) Integer.parseInt(escape.group(1), 16));
        }
        return switch (escape.group(2)) {
            case "n" -> "\n";
            case "t" -> "\t";
            default -> escape.group(2);
        };
    }

    @Override
    public String written(Content content) {
        StringBuilder written = new StringBuilder();
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                written.append(XmlContent.written(Content.of(escaped(text.value())), "\n"));
            } else if (run instanceof Tag tag) {
                boolean isText = tag.id().startsWith(Tag.PLACEHOLDER);
                written.append(isText ? XmlContent.written(Content.of(escaped(tag.code())), "\n") : tag.code());
            }
        }
        return written.toString();
    }
}
