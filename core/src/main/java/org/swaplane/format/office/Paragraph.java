package org.swaplane.format.office;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.document.Segment;
import org.swaplane.format.TextDocument;

/** What a paragraph holds, piece by piece, with the place of the run that each piece stands in. */
final class Paragraph {
    private final RunVocabulary vocabulary;
    private final String prefix;
    private final List<Piece> pieces = new ArrayList<>();
    private final List<InnerParagraph> inner = new ArrayList<>();
    private boolean bare;
    private int tags;

    /**
     * Text with the properties of its run, or a tag.
     *
     * @param start where the run or element begins that it stands in
     */
    private record Piece(Run run, String properties, int start, int end) {
        private boolean isEdge() {
            return run instanceof Tag tag && tag.kind() == Tag.Kind.STANDALONE;
        }
    }

    /** A paragraph within a tag of this one; {@code tagStart} is where the code of the tag would begin in the part. */
    private record InnerParagraph(String tag, int tagStart, Paragraph paragraph) {}

    Paragraph(RunVocabulary vocabulary, String prefix) {
        this.vocabulary = vocabulary;
        this.prefix = prefix;
    }

    /** Prefix of the elements, with its colon. */
    String prefix() {
        return prefix;
    }

    /** Text of a run. */
    void text(String text, String properties, int start, int end) {
        if (!text.isEmpty()) {
            pieces.add(new Piece(new Text(text), properties, start, end));
        }
    }

    /** Text that stands in the paragraph without a run. */
    void bareText(String text, int start, int end) {
        bare = true;
        text(text, "", start, end);
    }

    /** Something in a run that is no text; {@code raw} is its element, which gets a run of its own. Returns the tag's id. */
    String inRun(String name, String raw, String properties, int start, int end) {
        return tag(
                Tag.Kind.STANDALONE,
                name,
                new RunSyntax(vocabulary, prefix, "", false).run(properties, raw),
                start,
                end);
    }

    /** A tag whose code is as it stands. Returns its id. */
    String tag(Tag.Kind kind, String name, String code, int start, int end) {
        String id = name + ':' + ++tags;
        add(kind, id, code, name, start, end);
        return id;
    }

    /** The end of a pair. */
    void closing(String id, String code, int start, int end) {
        add(Tag.Kind.CLOSE, id, code, "", start, end);
    }

    private void add(Tag.Kind kind, String id, String code, String label, int start, int end) {
        pieces.add(new Piece(new Tag(kind, id, code, label), "", start, end));
    }

    void inner(String tag, int tagStart, Paragraph paragraph) {
        inner.add(new InnerParagraph(tag, tagStart, paragraph));
    }

    /** The last piece goes on to {@code end}: a field is one tag from its begin to its result. */
    void extendLast(String raw, int end) {
        Piece last = pieces.remove(pieces.size() - 1);
        Tag tag = (Tag) last.run();
        pieces.add(new Piece(new Tag(tag.kind(), tag.id(), tag.code() + raw, tag.label()), "", last.start(), end));
    }

    /** Adds the paragraph as a unit, without tags at its edges. */
    void addTo(TextDocument.Builder document, String id) {
        List<Piece> kept = trimmed();
        int start = kept.isEmpty() ? 0 : kept.get(0).start();
        int end = kept.isEmpty() ? 0 : kept.get(kept.size() - 1).end();
        String base = base(kept);
        List<TextDocument.Inner> inside = new ArrayList<>();
        int number = 1;
        for (InnerParagraph each : inner) {
            String innerId = id + " box " + number++;
            boolean isKept = kept.stream()
                    .anyMatch(
                            piece -> piece.run() instanceof Tag tag && tag.id().equals(each.tag()));
            if (isKept) {
                each.paragraph().insideOf(each, innerId, inside);
            } else {
                each.paragraph().addTo(document, innerId);
            }
        }
        document.add(id, start, end, content(kept, base), syntax(base), Segment.About.NOTHING, inside);
    }

    private void insideOf(InnerParagraph place, String id, List<TextDocument.Inner> inside) {
        List<Piece> kept = trimmed();
        if (!kept.isEmpty()) {
            String base = base(kept);
            int end = kept.get(kept.size() - 1).end();
            inside.add(new TextDocument.Inner(
                    place.tag(), place.tagStart(), id, kept.get(0).start(), end, content(kept, base), syntax(base)));
        }
    }

    private RunSyntax syntax(String base) {
        return new RunSyntax(vocabulary, prefix, base, bare);
    }

    /** Without tags that stand alone at the edges, unless they share a run with text. */
    private List<Piece> trimmed() {
        int first = 0;
        int last = pieces.size() - 1;
        while (first <= last && pieces.get(first).isEdge() && !sharesRun(first, first + 1)) {
            first++;
        }
        while (first <= last && pieces.get(last).isEdge() && !sharesRun(last, last - 1)) {
            last--;
        }
        return first > last ? List.of() : pieces.subList(first, last + 1);
    }

    private boolean sharesRun(int one, int other) {
        return other >= 0
                && other < pieces.size()
                && pieces.get(one).start() == pieces.get(other).start();
    }

    /** The properties that most of the text has. */
    private static String base(List<Piece> pieces) {
        Map<String, Integer> lengths = new HashMap<>();
        String base = "";
        for (Piece piece : pieces) {
            if (piece.run() instanceof Text text) {
                int length = lengths.merge(piece.properties(), text.length(), Integer::sum);
                base = length > lengths.getOrDefault(base, 0) || lengths.size() == 1 ? piece.properties() : base;
            }
        }
        return base;
    }

    /** Text in other properties than those of most is a pair of tags around it. */
    private static Content content(List<Piece> pieces, String base) {
        List<Run> runs = new ArrayList<>();
        String format = base;
        int formats = 0;
        for (Piece piece : pieces) {
            boolean isText = piece.run() instanceof Text;
            String wanted = isText ? piece.properties() : base;
            if (!wanted.equals(format)) {
                if (!format.equals(base)) {
                    runs.add(new Tag(Tag.Kind.CLOSE, RunSyntax.FORMAT + formats, "", ""));
                }
                if (!wanted.equals(base)) {
                    String label = RunProperties.label(wanted);
                    runs.add(new Tag(Tag.Kind.OPEN, RunSyntax.FORMAT + ++formats, wanted, label));
                }
                format = wanted;
            }
            runs.add(piece.run());
        }
        if (!format.equals(base)) {
            runs.add(new Tag(Tag.Kind.CLOSE, RunSyntax.FORMAT + formats, "", ""));
        }
        return new Content(runs);
    }
}
