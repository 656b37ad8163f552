package org.swaplane.format.office;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.UnaryOperator;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.format.UnitSyntax;
import org.swaplane.format.XmlContent;

/**
 * Writes a paragraph's text as runs.
 *
 * @param look of the translated document
 * @param prefix of the elements, with its colon
 * @param base properties of the runs that are in no formatting tag, as XML
 * @param before what stands in the first run before the text, in a run of its own
 * @param after what stands in the last run behind the text, in a run of its own
 * @param bare whether the text stands in the paragraph without a run around it, as cells have it
 */
record RunSyntax(
        RunVocabulary vocabulary,
        TargetLook look,
        String prefix,
        String base,
        String before,
        String after,
        boolean bare)
        implements UnitSyntax {
    /** Ids of tags that stand for run properties begin with it; their code is the properties. */
    static final String FORMAT = "format:";

    @Override
    public String written(Content content) {
        return before + runs(content, properties -> look.run(vocabulary, prefix, properties)) + after;
    }

    /** Fonts change with the language for the text that is read again as well. */
    @Override
    public String comparable(Content content) {
        return look.withFonts(runs(content, properties -> properties));
    }

    private String runs(Content content, UnaryOperator<String> properties) {
        StringBuilder written = new StringBuilder();
        Deque<String> formats = new ArrayDeque<>();
        boolean onlyText = bare && content.tags().isEmpty();
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                written.append(
                        onlyText
                                ? text(text.value())
                                : run(properties.apply(formats.isEmpty() ? base : formats.peek()), text(text.value())));
            } else if (run instanceof Tag tag && tag.id().startsWith(FORMAT)) {
                if (tag.kind() == Tag.Kind.OPEN) {
                    formats.push(tag.code());
                } else {
                    formats.poll();
                }
            } else if (run instanceof Tag tag) {
                written.append(tag.code());
            }
        }
        return written.toString();
    }

    private String text(String text) {
        String escaped = XmlContent.written(Content.of(text), "\n");
        return '<' + prefix + 't' + vocabulary.space() + '>' + escaped + "</" + prefix + "t>";
    }

    private String run(String properties, String content) {
        return '<' + prefix + "r>" + properties + content + "</" + prefix + "r>";
    }
}
