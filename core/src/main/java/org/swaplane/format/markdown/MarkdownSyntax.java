package org.swaplane.format.markdown;

import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.format.UnitSyntax;

/** Writes text so that nothing in it is read as a mark (CommonMark 0.31, section 2.4). */
record MarkdownSyntax(boolean inCell) implements UnitSyntax {
    @Override
    public String written(Content content) {
        StringBuilder written = new StringBuilder();
        for (Run run : content.runs()) {
            if (run instanceof Tag tag) {
                written.append(tag.code());
            } else if (run instanceof Text text) {
                written.append(escaped(text.value()));
            }
        }
        // Only at the begin of a line these make a heading, a quotation, a list or a rule.
        return written.toString()
                .replaceFirst("^(?=#{1,6}(?:\\s|$)|>|[-+](?:\\s|$)|[=~-]{2,})", "\\\\")
                .replaceFirst("^(\\d{1,9})([.)])(?=\\s|$)", "$1\\\\$2");
    }

    private String escaped(String text) {
        String escaped = text.replaceAll("[\\\\`*\\[\\]]", "\\\\$0")
                .replaceAll("(?<![\\p{L}\\p{N}])_|_(?![\\p{L}\\p{N}])", "\\\\_")
                .replaceAll("<(?=[A-Za-z/!?])", "\\\\<")
                .replaceAll("&(?=#?\\w+;)", "\\\\&");
        return inCell ? escaped.replace("|", "\\|") : escaped;
    }
}
