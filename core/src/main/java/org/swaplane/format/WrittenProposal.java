package org.swaplane.format;

import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagOrder;
import org.swaplane.document.Proposal;

/** A proposal as XML: its texts in elements of the file's own namespace. */
public final class WrittenProposal {
    /** What a code refers to stands in the unit, where a proposal has no part in it (XLIFF 2.1, section 5.1). */
    private static final Pattern REFERENCE = Pattern.compile("\\sdataRef(?:Start|End)?\\s*=\\s*(?:\"[^\"]*\"|'[^']*')");

    private WrittenProposal() {}

    /** The {@code source} and {@code target} elements, with the prefix and line ends of a slot. */
    public static String texts(Proposal proposal, TargetSlot slot) {
        return element("source", proposal.source(), slot) + element("target", proposal.target(), slot);
    }

    private static String element(String name, Content content, TargetSlot slot) {
        Content plain =
                new Content(content.runs().stream().map(WrittenProposal::alone).toList());
        // A proposal may have lost halves of pairs on its way; what cannot be written well-formed is written as text.
        Content written = TagOrder.isWritable(plain) ? plain : Content.of(plain.plainText());
        String tag = slot.prefix() + name;
        return '<' + tag + '>' + XmlContent.written(written, slot.lineEnd()) + "</" + tag + '>';
    }

    private static Run alone(Run run) {
        return run instanceof Tag tag
                ? new Tag(tag.kind(), tag.id(), REFERENCE.matcher(tag.code()).replaceAll(""), tag.label(), tag.rights())
                : run;
    }
}
