package org.swaplane.format.markdown;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.format.UnitSyntax;

/**
 * The title of a link or a picture (CommonMark 0.31, section 6.3), which readers see as a tip.
 *
 * @param start where it begins in the page, behind its quotation mark
 * @param quotes the marks around it
 */
record LinkTitle(int start, int end, String quotes) {
    private static final Pattern TITLE = Pattern.compile("(?s)\\s(?<open>[\"'(])(?<text>.*)(?<close>[\"')])\\s*$");

    /** Where the title stands that ends {@code code}, which begins at {@code at}. */
    static Optional<LinkTitle> find(String title, String code, int at) {
        Matcher found = TITLE.matcher(code);
        return title == null || title.isEmpty() || !found.find()
                ? Optional.empty()
                : Optional.of(new LinkTitle(
                        at + found.start("text"), at + found.end("text"), found.group("open") + found.group("close")));
    }

    /** Writes it so that it does not end early. */
    UnitSyntax syntax(MarkdownSyntax text) {
        return content -> text.written(content).replaceAll('[' + Pattern.quote(quotes) + ']', "\\\\$0");
    }
}
