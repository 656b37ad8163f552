package org.swaplane.format;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Tag;

/** What a tag stands for in the client's document: the code within an inline element, or the element itself where it holds none. */
public final class NativeCode {
    private static final Pattern ELEMENT = Pattern.compile("<[^>]*[^/]>(.+)</[^>]*>", Pattern.DOTALL);

    private NativeCode() {}

    /** The code, with the entities of XML itself resolved. */
    public static String of(Tag tag) {
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
}
