package org.swaplane.format.html;

import java.util.Locale;
import java.util.Set;

/** What elements and attributes are for (HTML Living Standard, sections 4 and 15.3). */
final class HtmlElements {
    /** Elements within a sentence; all others end it. */
    private static final Set<String> INLINE = Set.of(
            "a", "abbr", "acronym", "b", "bdi", "bdo", "big", "br", "button", "cite", "code", "data", "del", "dfn",
            "em", "font", "i", "img", "input", "ins", "kbd", "label", "mark", "picture", "q", "rp", "rt", "ruby", "s",
            "samp", "small", "source", "span", "strike", "strong", "sub", "sup", "time", "tt", "u", "var", "wbr");

    private static final Set<String> VOID = Set.of(
            "area", "base", "br", "col", "embed", "hr", "img", "input", "link", "meta", "source", "track", "wbr");

    /** Elements whose content is no text for people, or none that can be reached. */
    private static final Set<String> RAW = Set.of("script", "style", "svg", "math", "template", "noscript", "object");

    private static final Set<String> TEXT_ATTRIBUTES = Set.of(
            "title",
            "alt",
            "placeholder",
            "aria-label",
            "aria-description",
            "aria-roledescription",
            "aria-valuetext",
            "summary");

    private static final Set<String> LABELLED = Set.of("option", "optgroup", "track");
    private static final Set<String> BUTTONS = Set.of("button", "submit", "reset");
    private static final Set<String> TEXT_META = Set.of(
            "description",
            "keywords",
            "og:title",
            "og:description",
            "og:site_name",
            "twitter:title",
            "twitter:description");

    private HtmlElements() {}

    static boolean isInline(String name) {
        return INLINE.contains(name);
    }

    static boolean isVoid(String name) {
        return VOID.contains(name);
    }

    static boolean isRaw(String name) {
        return RAW.contains(name);
    }

    /** Whether people read the attribute. */
    static boolean isText(HtmlTag tag, String attribute) {
        return switch (attribute) {
            case "value" ->
                tag.name().equals("input")
                        && BUTTONS.contains(tag.attribute("type").toLowerCase(Locale.ROOT));
            case "content" -> {
                String about = tag.attribute("name") + tag.attribute("property");
                yield tag.name().equals("meta") && TEXT_META.contains(about.toLowerCase(Locale.ROOT));
            }
            case "label" -> LABELLED.contains(tag.name());
            default -> TEXT_ATTRIBUTES.contains(attribute);
        };
    }
}
