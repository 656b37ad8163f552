package org.swaplane.format.html;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A start or end tag as it stands in the page.
 *
 * @param name in lower case
 * @param start where it begins in the page
 */
record HtmlTag(String name, boolean closes, String raw, int start) {
    private static final Pattern TAG =
            Pattern.compile("<(/?)([a-zA-Z][^\\s/>]*+)(?:[^>\"']++|\"[^\"]*+\"|'[^']*+')*+>");
    private static final Pattern ATTRIBUTE =
            Pattern.compile("[\\s\"'/]([^\\s\"'<>/=]+)\\s*=\\s*(?:\"([^\"]*)\"|'([^']*)'|([^\\s\"'>]+))");

    /**
     * An attribute with a value.
     *
     * @param name in lower case
     * @param start where the value begins in the page, behind its quote
     * @param quote the quote around it, 0 where there is none
     */
    record Attribute(String name, String value, int start, char quote) {
        int end() {
            return start + value.length();
        }
    }

    /** The tag at {@code at}, if one stands there; a lone {@code <} is text. */
    static Optional<HtmlTag> at(String page, int at) {
        Matcher matcher = TAG.matcher(page).region(at, page.length());
        return matcher.lookingAt()
                ? Optional.of(new HtmlTag(
                        matcher.group(2).toLowerCase(Locale.ROOT),
                        !matcher.group(1).isEmpty(),
                        matcher.group(),
                        at))
                : Optional.empty();
    }

    int end() {
        return start + raw.length();
    }

    boolean isEmptyElement() {
        return raw.endsWith("/>");
    }

    List<Attribute> attributes() {
        List<Attribute> attributes = new ArrayList<>();
        Matcher matcher = ATTRIBUTE.matcher(raw);
        int from = name.length() + 1;
        while (matcher.find(from)) {
            int group = matcher.group(2) != null ? 2 : matcher.group(3) != null ? 3 : 4;
            char quote = group == 2 ? '"' : group == 3 ? '\'' : 0;
            attributes.add(new Attribute(
                    matcher.group(1).toLowerCase(Locale.ROOT),
                    matcher.group(group),
                    start + matcher.start(group),
                    quote));
            // The quote that ends this one may be what stands before the next.
            from = quote == 0 ? matcher.end() : matcher.end() - 1;
        }
        return attributes;
    }

    /** The value of an attribute, empty when it is not there. */
    String attribute(String wanted) {
        return attributes().stream()
                .filter(each -> each.name().equals(wanted))
                .map(Attribute::value)
                .findFirst()
                .orElse("");
    }
}
