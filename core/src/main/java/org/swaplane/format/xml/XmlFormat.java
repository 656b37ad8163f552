package org.swaplane.format.xml;

import java.io.IOException;
import java.util.Map;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** XML that is of none of the other formats. */
public final class XmlFormat implements BilingualFormat {
    @Override
    public String id() {
        return "xml";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(
                id(), FormatTraits.of(FormatTraits.Markup.XML).selectable().withPlaceholders());
    }

    @Override
    public boolean recognises(Head head) {
        return head.extension().equals("xml");
    }

    private static ItsRules rules(PlacedTree tree, DocumentOptions options) {
        ItsRules rules = new ItsRules(tree, options.selection());
        if (!options.itsRules().isBlank()) {
            rules.addAll(PlacedTree.read("ITS rules", options.itsRules(), Progress.NONE));
        }
        rules.addAll(tree);
        return rules;
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        EncodedText text = EncodedText.of(source);
        PlacedTree tree = PlacedTree.read(source.name(), text.readAll(), progress);
        return new TextFinder(tree, rules(tree, options.document()), text, options).read();
    }
}
