package org.swaplane.reviewcopy.docx;

import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.SafeXml;
import org.swaplane.reviewcopy.ReturnedCell;
import org.swaplane.reviewcopy.ReturnedTable;

/**
 * The rows of the tables of a document, tracked changes read as accepted (ECMA-376, part 1, section 17.13.5): insertions count,
 * deletions do not, a row marked as deleted is gone. What stands outside tables is a remark.
 */
final class DocxTableReader {
    private final DocxMaterial material;
    private final ReturnedTable table;

    DocxTableReader(DocxMaterial material, ReturnedTable table) {
        this.material = material;
        this.table = table;
    }

    void read(InputStream in) throws XMLStreamException {
        XMLStreamReader2 xml = (XMLStreamReader2) SafeXml.factory().createXMLStreamReader(in);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                if (xml.getLocalName().equals("tr")) {
                    readRow(xml);
                } else if (xml.getLocalName().equals("p")) {
                    new DocxContent(xml, material).asRemarks().forEach(table::remark);
                }
            }
        }
    }

    /** All text of a part that holds no rows, such as the header of the pages. */
    void readBesides(InputStream in) throws XMLStreamException {
        XMLStreamReader2 xml = (XMLStreamReader2) SafeXml.factory().createXMLStreamReader(in);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("p")) {
                new DocxContent(xml, material).asRemarks().forEach(table::remark);
            }
        }
    }

    private void readRow(XMLStreamReader2 xml) throws XMLStreamException {
        List<ReturnedCell> cells = new ArrayList<>();
        boolean deleted = false;
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                if (xml.getLocalName().equals("trPrChange")) {
                    xml.skipElement();
                } else if (xml.getLocalName().equals("tc")) {
                    cells.add(new DocxContent(xml, material).cell());
                } else {
                    depth++;
                    deleted |= xml.getLocalName().equals("del");
                }
            }
        }
        if (!deleted) {
            table.row(cells);
        }
    }
}
