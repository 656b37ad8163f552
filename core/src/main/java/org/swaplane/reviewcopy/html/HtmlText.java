package org.swaplane.reviewcopy.html;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.swaplane.content.UnspacedScript;
import org.swaplane.reviewcopy.Irregularity;

/**
 * The text of an element as a browser shows it: white space is folded (CSS Text Level 3, section 4.1) but where the element itself says that it
 * is kept, and what is struck through or hidden is left out.
 */
final class HtmlText {
    private static final Set<String> BLOCKS = Set.of("div", "p", "li", "pre", "blockquote");
    private static final Set<String> STRUCK = Set.of("s", "strike", "del");
    /** What office programs write where a part of the text could not be edited. */
    private static final String LEFT_BEHIND = "\u0001";

    private static final String WHITE = " \t\n\r\f";

    private final StringBuilder text = new StringBuilder();
    private final List<String> besides = new ArrayList<>();
    private final Set<Irregularity> odd = EnumSet.noneOf(Irregularity.class);
    private boolean isLaidOut;
    /** White space that is waiting for text behind it; null for none. */
    private String waiting;

    /** Reads all of an element. */
    void read(Element element) {
        inside(element, false);
    }

    String text() {
        // A browser ends a cell that is edited with a break of its own.
        boolean ends = !text.isEmpty() && text.charAt(text.length() - 1) == '\n';
        return ends ? text.substring(0, text.length() - 1) : text.toString();
    }

    /** What stands over the words, such as their pronunciation. */
    List<String> besides() {
        return besides;
    }

    Set<Irregularity> irregularities() {
        return odd;
    }

    /** Whether white space for the eye of somebody who reads the file was found in it. */
    boolean isLaidOut() {
        return isLaidOut;
    }

    private void inside(Element element, boolean kept) {
        for (Node node : element.childNodes()) {
            if (node instanceof TextNode own) {
                append(own.getWholeText(), kept);
            } else if (node instanceof Element inner) {
                readElement(inner, kept);
            }
        }
    }

    private void append(String written, boolean kept) {
        String whole = written.replace(LEFT_BEHIND, "");
        if (kept) {
            flush(whole);
            text.append(whole);
            return;
        }
        int at = 0;
        while (at < whole.length()) {
            int end = at;
            boolean white = isWhite(whole.charAt(at));
            while (end < whole.length() && isWhite(whole.charAt(end)) == white) {
                end++;
            }
            String piece = whole.substring(at, end);
            if (white) {
                isLaidOut |= piece.indexOf('\n') >= 0;
                waiting = waiting == null ? piece : waiting + piece;
            } else {
                flush(piece);
                text.append(piece);
            }
            at = end;
        }
    }

    private static boolean isWhite(char c) {
        return WHITE.indexOf(c) >= 0;
    }

    /** Folds the white space before {@code next}; none stands at the beginning of a line or between letters of scripts without spaces. */
    private void flush(String next) {
        if (waiting != null && !next.isEmpty() && !text.isEmpty() && text.charAt(text.length() - 1) != '\n') {
            boolean isLineEnd = waiting.indexOf('\n') >= 0;
            boolean isUnspaced = isLineEnd
                    && UnspacedScript.has(text.codePointBefore(text.length()))
                    && UnspacedScript.has(next.codePointAt(0));
            text.append(isUnspaced ? "" : " ");
        }
        waiting = next.isEmpty() ? waiting : null;
    }

    private void readElement(Element inner, boolean kept) {
        String name = inner.normalName();
        String style = inner.attr("style").replace(" ", "");
        if (STRUCK.contains(name) || style.contains("line-through")) {
            odd.add(Irregularity.STRUCK);
            return;
        }
        if (inner.hasAttr("hidden") || style.contains("display:none")) {
            odd.add(Irregularity.HIDDEN);
            return;
        }
        switch (name) {
            case "rt" -> besides.add(inner.text());
            case "rp", "script", "style" -> {}
            case "br" -> lineEnd();
            default -> {
                if (name.equals("li")) {
                    odd.add(Irregularity.NUMBERED);
                }
                boolean keeps = style.contains("white-space:pre") || name.equals("pre");
                block(inner, BLOCKS.contains(name), keeps || kept && !style.contains("white-space:normal"));
            }
        }
    }

    private void block(Element inner, boolean isBlock, boolean kept) {
        if (isBlock && !text.isEmpty() && text.charAt(text.length() - 1) != '\n') {
            lineEnd();
        }
        inside(inner, kept);
        boolean isLast = inner.nextSibling() == null
                || inner.nextElementSibling() == null && inner.nextSibling() instanceof TextNode rest && rest.isBlank();
        if (isBlock && !isLast && (text.isEmpty() || text.charAt(text.length() - 1) != '\n')) {
            lineEnd();
        }
    }

    private void lineEnd() {
        waiting = null;
        text.append('\n');
    }
}
