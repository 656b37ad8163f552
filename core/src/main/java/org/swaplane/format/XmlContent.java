package org.swaplane.format;

import java.util.stream.Collectors;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;

/** Content as XML: tags as the file writes them, text escaped, line ends as given. */
public final class XmlContent {
    private XmlContent() {}

    /** The content; {@code lineEnd} stands for U+000A. */
    public static String written(Content content, String lineEnd) {
        return content.runs().stream().map(run -> written(run, lineEnd)).collect(Collectors.joining());
    }

    /** A value as it stands between double quotes. */
    public static String attribute(String value) {
        return value.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }

    private static String written(Run run, String lineEnd) {
        if (run instanceof Tag tag) {
            return tag.code();
        }
        if (run instanceof Text text) {
            return text.value()
                    .replace("&", "&amp;")
                    .replace("<", "&lt;")
                    .replace(">", "&gt;")
                    .replace("\r", "&#13;")
                    .replace("\n", lineEnd);
        }
        throw new AssertionError(run);
    }
}
