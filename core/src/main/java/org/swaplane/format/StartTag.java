package org.swaplane.format;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.parser.Parser;

/** A start tag as it stands in the file, in which single attributes can be set without touching anything else. */
public record StartTag(String raw) {
    /** The tag with the attribute set; an attribute that is there keeps its place and its quotes. */
    public StartTag with(String name, String value) {
        Matcher matcher = attribute(name);
        if (matcher.find()) {
            char quote = matcher.group(2).charAt(0);
            return new StartTag(
                    raw.substring(0, matcher.end(1)) + quote + value + quote + raw.substring(matcher.end(2)));
        }
        int end = raw.length() - (isEmptyElement() ? 2 : 1);
        while (Character.isWhitespace(raw.charAt(end - 1))) {
            end--;
        }
        return new StartTag(raw.substring(0, end) + ' ' + name + "=\"" + value + '"' + raw.substring(end));
    }

    /** The tag without the attribute. */
    public StartTag without(String name) {
        Matcher matcher = attribute(name);
        return matcher.find() ? new StartTag(raw.substring(0, matcher.start()) + raw.substring(matcher.end())) : this;
    }

    /** What the attribute says, its references resolved; empty when it is not there. */
    public String value(String name) {
        Matcher matcher = attribute(name);
        if (!matcher.find()) {
            return "";
        }
        String quoted = matcher.group(2);
        return Parser.unescapeEntities(quoted.substring(1, quoted.length() - 1), true);
    }

    private Matcher attribute(String name) {
        return Pattern.compile("(\\s+" + Pattern.quote(name) + "\\s*=\\s*)(\"[^\"]*\"|'[^']*')")
                .matcher(raw);
    }

    public boolean isEmptyElement() {
        return raw.endsWith("/>");
    }

    /** The tag of an element that has content: {@code <g id="1"/>} becomes {@code <g id="1">}. */
    public StartTag opened() {
        return isEmptyElement()
                ? new StartTag(raw.substring(0, raw.length() - 2).stripTrailing() + '>')
                : this;
    }

    /** The whole element with this tag and {@code content} in it. */
    public String around(String content) {
        return opened().raw() + content + "</" + name() + '>';
    }

    /** Name with prefix. */
    public String name() {
        int end = 1;
        while (end < raw.length() && " \t\r\n/>".indexOf(raw.charAt(end)) < 0) {
            end++;
        }
        return raw.substring(1, end);
    }
}
