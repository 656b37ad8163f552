package org.swaplane.format;

import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Tag;

/** What a tag stands for in the client's document: the code within an inline element, or the element itself where it holds none. */
public final class NativeCode {
    private static final Pattern ELEMENT = Pattern.compile("<[^>]*[^/]>(.+)</[^>]*>", Pattern.DOTALL);
    private static final Pattern SUB_FLOW =
            Pattern.compile("<(?:\\w+:)?sub\\b[^>]*>.*?</(?:\\w+:)?sub>", Pattern.DOTALL);
    /** Attributes that say what a tag stands for, in XLIFF 1.2 and 2. */
    private static final Pattern MEANING =
            Pattern.compile("\\s(ctype|pos|dataRef|dataRefStart|dataRefEnd|hex)\\s*=\\s*(?:\"([^\"]*)\"|'([^']*)')");

    private NativeCode() {}

    /** The code, with the entities of XML itself resolved. */
    public static String of(Tag tag) {
        if (isByReference(tag)) {
            return tag.label();
        }
        Matcher element = ELEMENT.matcher(tag.code());
        if (!element.matches()) {
            return tag.code();
        }
        return element.group(1)
                .replace("&lt;", "<")
                .replace("&gt;", ">")
                .replace("&quot;", "\"")
                .replace("&apos;", "'")
                .replace("&amp;", "&");
    }

    /** Whether its code is among the unit's original data (XLIFF 2.1, section 4.2.2.11), which readers take for its label. */
    private static boolean isByReference(Tag tag) {
        boolean refers = tag.code().contains("dataRef") && !tag.code().contains("disp");
        boolean ends = tag.kind() == Tag.Kind.CLOSE && tag.id().startsWith("pc:");
        return (refers || ends) && !tag.label().isEmpty();
    }

    /** Whether two tags that are the same by their ids stand for different things, as far as the file says what they stand for. */
    public static boolean differs(Tag one, Tag other) {
        if (one.isProtectedText()) {
            return !one.label().strip().equals(other.label().strip());
        }
        return !withoutSubFlows(one).equals(withoutSubFlows(other)) || meaningDiffers(one, other);
    }

    private static String withoutSubFlows(Tag tag) {
        Matcher element = ELEMENT.matcher(tag.code());
        return element.matches()
                ? SUB_FLOW.matcher(element.group(1))
                        .replaceAll("")
                        .replaceAll("\\s+", " ")
                        .strip()
                : "";
    }

    private static boolean meaningDiffers(Tag one, Tag other) {
        Map<String, String> here = meaning(one);
        Map<String, String> there = meaning(other);
        here.keySet().retainAll(there.keySet());
        return here.entrySet().stream().anyMatch(each -> !each.getValue().equals(there.get(each.getKey())));
    }

    private static Map<String, String> meaning(Tag tag) {
        int end = tag.code().indexOf('>');
        Matcher attribute = MEANING.matcher(end < 0 ? tag.code() : tag.code().substring(0, end));
        Map<String, String> meaning = new HashMap<>();
        while (attribute.find()) {
            meaning.put(attribute.group(1), attribute.group(2) == null ? attribute.group(3) : attribute.group(2));
        }
        return meaning;
    }
}
