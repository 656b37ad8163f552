package org.swaplane.format.office;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.TextDocument;

/** What a paragraph holds, piece by piece, with the place of the run that each piece stands in. */
final class Paragraph {
    private final RunVocabulary vocabulary;
    private final TargetLook look;
    private final String prefix;
    private final List<Piece> pieces = new ArrayList<>();
    private final List<InnerParagraph> inner = new ArrayList<>();
    private final List<InnerText> innerTexts = new ArrayList<>();
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

    /** An attribute with text within a tag of this paragraph. */
    private record InnerText(String tag, int tagStart, AttributeText text) {}

    Paragraph(RunVocabulary vocabulary, TargetLook look, String prefix) {
        this.vocabulary = vocabulary;
        this.look = look;
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

    /** An element around runs that goes when the paragraph is written anew: begin or end of an accepted insertion. */
    void dissolved(int start, int end) {
        pieces.add(new Piece(new Text(""), "", start, end));
    }

    /** Text that stands in the paragraph without a run. */
    void bareText(String text, int start, int end) {
        bare = true;
        text(text, "", start, end);
    }

    /** Something in a run that is no text; {@code raw} is its element, which gets a run of its own. Returns the tag's id. */
    String inRun(String name, String raw, String properties, int start, int end) {
        String code = '<' + prefix + "r>" + properties + raw + "</" + prefix + "r>";
        return tag(Tag.Kind.STANDALONE, name, code, start, end);
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

    void inner(String tag, int tagStart, AttributeText text) {
        innerTexts.add(new InnerText(tag, tagStart, text));
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
            if (isAmong(kept, each.tag())) {
                each.paragraph().insideOf(each, innerId, inside);
            } else {
                each.paragraph().addTo(document, innerId);
            }
        }
        number = 1;
        for (InnerText each : innerTexts) {
            String innerId = id + " alternative " + number++;
            if (isAmong(kept, each.tag())) {
                inside.add(each.text().inside(each.tag(), each.tagStart(), innerId));
            } else {
                each.text().addTo(document, innerId);
            }
        }
        inside.sort(Comparator.comparing(TextDocument.Inner::start));
        document.add(id, start, end, content(kept, base), syntax(kept, base), SegmentMetadata.NOTHING, inside);
    }

    private static boolean isAmong(List<Piece> pieces, String tagId) {
        return pieces.stream()
                .anyMatch(piece -> piece.run() instanceof Tag tag && tag.id().equals(tagId));
    }

    private void insideOf(InnerParagraph place, String id, List<TextDocument.Inner> inside) {
        List<Piece> kept = trimmed();
        if (!kept.isEmpty()) {
            String base = base(kept);
            int end = kept.get(kept.size() - 1).end();
            inside.add(new TextDocument.Inner(
                    place.tag(),
                    place.tagStart(),
                    id,
                    kept.get(0).start(),
                    end,
                    content(kept, base),
                    syntax(kept, base)));
        }
    }

    private RunSyntax syntax(List<Piece> kept, String base) {
        return new RunSyntax(vocabulary, look, prefix, base, inFirstRun(kept), inLastRun(kept), bare);
    }

    /** Without tags that stand alone at the edges. */
    private List<Piece> trimmed() {
        int first = 0;
        int last = pieces.size() - 1;
        while (first <= last && pieces.get(first).isEdge()) {
            first++;
        }
        while (first <= last && pieces.get(last).isEdge()) {
            last--;
        }
        return first > last ? List.of() : pieces.subList(first, last + 1);
    }

    /** What was trimmed off the run that the text begins in. */
    private String inFirstRun(List<Piece> kept) {
        StringBuilder codes = new StringBuilder();
        for (int i = 0; i < pieces.size() && !kept.isEmpty() && pieces.get(i) != kept.get(0); i++) {
            if (pieces.get(i).start() == kept.get(0).start()) {
                codes.append(((Tag) pieces.get(i).run()).code());
            }
        }
        return codes.toString();
    }

    /** What was trimmed off the run that the text ends in. */
    private String inLastRun(List<Piece> kept) {
        StringBuilder codes = new StringBuilder();
        for (int i = pieces.size() - 1; i >= 0 && !kept.isEmpty() && pieces.get(i) != kept.get(kept.size() - 1); i--) {
            if (pieces.get(i).start() == kept.get(kept.size() - 1).start()) {
                codes.insert(0, ((Tag) pieces.get(i).run()).code());
            }
        }
        return codes.toString();
    }

    /** The properties that most of the text has. */
    private static String base(List<Piece> pieces) {
        Map<String, Integer> lengths = new HashMap<>();
        String base = "";
        for (Piece piece : pieces) {
            if (piece.run() instanceof Text text && text.length() > 0) {
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
            if (isText && piece.run().length() == 0) {
                continue;
            }
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
