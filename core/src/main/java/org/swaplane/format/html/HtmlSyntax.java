package org.swaplane.format.html;

import org.jsoup.parser.Parser;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.format.UnitSyntax;

/** How text is written between tags, and in attributes. */
enum HtmlSyntax implements UnitSyntax {
    TEXT,
    IN_DOUBLE_QUOTES,
    IN_SINGLE_QUOTES,
    UNQUOTED;

    static HtmlSyntax inQuotes(char quote) {
        return switch (quote) {
            case '"' -> IN_DOUBLE_QUOTES;
            case '\'' -> IN_SINGLE_QUOTES;
            default -> UNQUOTED;
        };
    }

    /** Text as people see it, white space folded as a browser does it unless it is kept. */
    static String read(String written, boolean keepsSpace) {
        String text = Parser.unescapeEntities(written, false);
        return keepsSpace ? text : text.replaceAll("[ \\t\\r\\n\\f]+", " ");
    }

    @Override
    public String written(Content content) {
        return this == UNQUOTED ? '"' + comparable(content) + '"' : comparable(content);
    }

    @Override
    public String comparable(Content content) {
        StringBuilder written = new StringBuilder();
        for (Run run : content.runs()) {
            written.append(run instanceof Text text ? escaped(text.value()) : ((Tag) run).code());
        }
        return written.toString();
    }

    private String escaped(String text) {
        String escaped = text.replace("&", "&amp;").replace("<", "&lt;").replace("\u00A0", "&nbsp;");
        return switch (this) {
            case TEXT -> escaped.replace(">", "&gt;");
            case IN_DOUBLE_QUOTES, UNQUOTED -> escaped.replace("\"", "&quot;");
            case IN_SINGLE_QUOTES -> escaped.replace("'", "&#39;");
        };
    }
}
