package org.swaplane.reviewcopy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamException;
import org.swaplane.format.Head;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;

/** Review copies as word processor documents (ECMA-376, WordprocessingML). */
public final class DocxFormat implements ReviewCopyFormat {
    private static final String DOCUMENT = "word/document.xml";
    private static final String RELATIONS = "_rels/.rels";
    private static final Pattern RELATION = Pattern.compile("<(?:\\w+:)?Relationship\\b[^>]*>");
    private static final Pattern TARGET = Pattern.compile("\\bTarget=\"/?([^\"]+)\"");
    private static final String COMMENTS = "word/comments.xml";
    private static final String PROPERTIES = "docProps/custom.xml";

    @Override
    public String extension() {
        return "docx";
    }

    /** A zip; what is in it only reading tells. */
    @Override
    public boolean recognises(Source source) throws IOException {
        return Head.of(source).isZip();
    }

    /** The part that the package says is the document (ECMA-376-2, section 9.3); most programs call it the same. */
    private static String mainPart(Source source) throws IOException {
        byte[] relations = SafeZip.read(source, Set.of(RELATIONS)).get(RELATIONS);
        Matcher relation = RELATION.matcher(relations == null ? "" : new String(relations, StandardCharsets.UTF_8));
        while (relation.find()) {
            Matcher target = TARGET.matcher(relation.group());
            if (relation.group().contains("/officeDocument\"") && target.find()) {
                return target.group(1);
            }
        }
        return DOCUMENT;
    }

    @Override
    public void write(ReviewCopy copy, OutputStream out) throws IOException {
        try {
            new DocxWriter(copy).write(out);
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
    }

    @Override
    public ReturnedCopy read(Source source) throws IOException {
        String main = mainPart(source);
        Map<String, byte[]> parts = SafeZip.read(source, Set.of(main, COMMENTS, PROPERTIES));
        if (!parts.containsKey(main)) {
            throw new CannotProceedException(
                    source.name(),
                    "this is no word processor document (DOCX)",
                    "choose the review copy that came back");
        }
        try {
            Map<String, Remark> comments = parts.containsKey(COMMENTS)
                    ? DocxComments.read(new ByteArrayInputStream(parts.get(COMMENTS)))
                    : Map.of();
            Optional<CopyIdentity> identity = parts.containsKey(PROPERTIES)
                    ? DocxProperties.read(new ByteArrayInputStream(parts.get(PROPERTIES)), CopyIdentity.PROPERTY)
                            .flatMap(CopyIdentity::read)
                    : Optional.empty();
            List<ReturnedRow> rows = new DocxTableReader(comments).read(new ByteArrayInputStream(parts.get(main)));
            ReturnedCopy copy = new ReturnedCopy(identity, rows);
            if (copy.trip().isEmpty()) {
                throw new CannotProceedException(
                        source.name(),
                        "this document is not a review copy that Swap Lane made: it carries no identity",
                        "choose the copy that was sent out, in whatever state it came back");
            }
            return copy;
        } catch (XMLStreamException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0),
                    "the document is broken inside ("
                            + e.getMessage().lines().findFirst().orElse("") + ")",
                    "open it in the word processor, save it again, and try once more",
                    e);
        }
    }
}
