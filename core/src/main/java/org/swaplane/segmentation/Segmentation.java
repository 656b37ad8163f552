package org.swaplane.segmentation;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;

/** Cuts contents into segments in one language. */
public final class Segmentation {
    private final Segmenter segmenter;

    public Segmentation(SegmentationRules rules, String language) {
        this.segmenter = new Segmenter(rules.forLanguage(language));
    }

    /** The segments of a content; one without text has none, and is all white space or tags between. */
    public SplitContent split(Content content) {
        return split(content, segmenter.breaks(content.plainText()));
    }

    /** The same, cut at these offsets of the plain text and nowhere else. */
    public SplitContent split(Content content, List<Integer> breaks) {
        List<Content> pieces = new ArrayList<>();
        List<Run> piece = new ArrayList<>();
        int next = 0;
        int at = 0;
        for (Run run : content.runs()) {
            if (run instanceof Tag tag) {
                // An end belongs to what it ends; everything else at a break opens what follows.
                if (next < breaks.size() && breaks.get(next) == at && tag.kind() != Tag.Kind.CLOSE) {
                    pieces.add(new Content(piece));
                    piece.clear();
                    next++;
                }
                piece.add(tag);
                continue;
            }
            String text = ((Text) run).value();
            int from = 0;
            while (next < breaks.size() && breaks.get(next) < at + text.length()) {
                int cut = breaks.get(next++) - at;
                piece.add(new Text(text.substring(from, cut)));
                pieces.add(new Content(piece));
                piece.clear();
                from = cut;
            }
            piece.add(new Text(text.substring(from)));
            at += text.length();
        }
        pieces.add(new Content(piece));
        return trimmed(pieces);
    }

    /** White space at the edges of the pieces stands between them; a piece that is nothing else joins its neighbour's. */
    private static SplitContent trimmed(List<Content> pieces) {
        List<Content> segments = new ArrayList<>();
        List<String> between = new ArrayList<>();
        StringBuilder space = new StringBuilder();
        for (Content piece : pieces) {
            String text = piece.plainText();
            boolean blank = text.isBlank();
            if (blank && piece.tags().isEmpty()) {
                space.append(text);
                continue;
            }
            int start = leading(piece);
            int end = trailing(piece);
            space.append(firstText(piece), 0, start);
            between.add(space.toString());
            space.setLength(0);
            segments.add(cut(piece, start, end));
            String last = lastText(piece);
            space.append(last, last.length() - end, last.length());
        }
        between.add(space.toString());
        return new SplitContent(segments, between);
    }

    private static String firstText(Content piece) {
        return !piece.isEmpty() && piece.runs().get(0) instanceof Text text ? text.value() : "";
    }

    private static String lastText(Content piece) {
        return !piece.isEmpty() && piece.runs().get(piece.runs().size() - 1) instanceof Text text ? text.value() : "";
    }

    private static int leading(Content piece) {
        String text = firstText(piece);
        int at = 0;
        while (at < text.length() && isSpace(text.charAt(at))) {
            at++;
        }
        return at;
    }

    private static int trailing(Content piece) {
        String text = lastText(piece);
        int at = 0;
        boolean same = piece.runs().size() == 1;
        int least = same ? leading(piece) : 0;
        while (at < text.length() - least && isSpace(text.charAt(text.length() - 1 - at))) {
            at++;
        }
        return at;
    }

    private static boolean isSpace(char c) {
        return Character.isWhitespace(c) || c == '\u00A0';
    }

    private static Content cut(Content piece, int start, int end) {
        List<Run> runs = new ArrayList<>(piece.runs());
        if (start > 0) {
            runs.set(0, new Text(firstText(piece).substring(start)));
        }
        if (end > 0) {
            int last = runs.size() - 1;
            String text = ((Text) runs.get(last)).value();
            runs.set(last, new Text(text.substring(0, text.length() - end)));
        }
        return new Content(runs);
    }
}
