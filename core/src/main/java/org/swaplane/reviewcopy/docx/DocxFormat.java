package org.swaplane.reviewcopy.docx;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamException;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.CustomProperties;
import org.swaplane.reviewcopy.PackageKind;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedTable;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormat;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** Review copies as word processor documents (ECMA-376, WordprocessingML). */
public final class DocxFormat implements ReviewCopyFormat {
    private static final String DOCUMENT = "word/document.xml";
    private static final String RELATIONS = "_rels/.rels";
    private static final Pattern RELATION = Pattern.compile("<(?:\\w+:)?Relationship\\b[^>]*>");
    private static final Pattern TARGET = Pattern.compile("\\bTarget=\"/?([^\"]+)\"");
    private static final int HEAD = 4096;
    private static final String COMMENTS = "word/comments.xml";
    private static final String PROPERTIES = "docProps/custom.xml";
    private static final String STYLES = "word/styles.xml";
    private static final Set<String> PARTS = Set.of(COMMENTS, PROPERTIES, STYLES);
    /** Parts in which people write besides the table. */
    private static final String BESIDES = "word/(?:header|footer|footnotes|endnotes)\\d*\\.xml";
    /** Other programs number such parts as they like. */
    private static final String TEXTS = "customXml/item\\d+\\.xml";

    @Override
    public String extension() {
        return "docx";
    }

    /** Word processors lay out the whole table before they show its end. */
    @Override
    public int mostRows() {
        return 20_000;
    }

    @Override
    public boolean recognises(Source source) throws IOException {
        return PackageKind.mayBe(source, "wordprocessingml");
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

    /** Workbooks and slides are packages of the same kind. */
    private static boolean isDocument(byte[] main) {
        String head = new String(main, 0, Math.min(main.length, HEAD), StandardCharsets.UTF_8);
        return head.contains("wordprocessingml");
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
        Map<String, byte[]> parts = SafeZip.read(
                source,
                name -> name.equals(main) || PARTS.contains(name) || name.matches(TEXTS) || name.matches(BESIDES));
        if (!parts.containsKey(main) || !isDocument(parts.get(main))) {
            throw new CannotProceedException(source.name(), "problem.no-docx");
        }
        try {
            ReturnedTable table = new ReturnedTable();
            Map<String, Remark> comments = parts.containsKey(COMMENTS)
                    ? DocxComments.read(new ByteArrayInputStream(parts.get(COMMENTS)))
                    : Map.of();
            if (parts.containsKey(PROPERTIES)) {
                CustomProperties.read(new ByteArrayInputStream(parts.get(PROPERTIES)), CopyIdentity.PROPERTY)
                        .ifPresent(table::identity);
            }
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                if (part.getKey().matches(TEXTS)) {
                    DocxTexts.read(new ByteArrayInputStream(part.getValue())).ifPresent(table::sent);
                }
            }
            DocxMaterial material = new DocxMaterial(comments, parts.get(STYLES));
            DocxTableReader reader = new DocxTableReader(material, table);
            reader.read(new ByteArrayInputStream(parts.get(main)));
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                if (part.getKey().matches(BESIDES)) {
                    reader.readBesides(new ByteArrayInputStream(part.getValue()));
                }
            }
            material.lostComments().forEach(table::remark);
            return table.copyOf(source.name());
        } catch (XMLStreamException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(source.name(), 0, 0),
                    Phrase.of("problem.document-broken", Reason.of(e)),
                    e);
        }
    }
}
