package org.swaplane.reviewcopy;

import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.SafeXml;

/**
 * The rows of the tables of a document, tracked changes read as accepted (ECMA-376, part 1, section 17.13.5): insertions count,
 * deletions do not, a row marked as deleted is gone.
 */
final class DocxTableReader {
    private static final int NUMBER_OF_CELLS = 5;
    private static final int SOURCE = 1;
    private static final int TARGET = 2;
    private static final int COMMENT = 3;

    private final Map<String, Remark> comments;
    private final List<ReturnedRow> rows = new ArrayList<>();

    DocxTableReader(Map<String, Remark> comments) {
        this.comments = comments;
    }

    List<ReturnedRow> read(InputStream in) throws XMLStreamException {
        XMLStreamReader2 xml = (XMLStreamReader2) SafeXml.factory().createXMLStreamReader(in);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("tr")) {
                readRow(xml);
            }
        }
        return rows;
    }

    private void readRow(XMLStreamReader2 xml) throws XMLStreamException {
        List<DocxCell> cells = new ArrayList<>();
        boolean deleted = false;
        boolean heading = false;
        int depth = 1;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                if (xml.getLocalName().equals("tc")) {
                    cells.add(new DocxCell(xml, comments));
                } else {
                    depth++;
                    deleted |= xml.getLocalName().equals("del");
                    heading |= xml.getLocalName().equals("tblHeader");
                }
            }
        }
        if (!deleted && !heading) {
            addRow(cells);
        }
    }

    private void addRow(List<DocxCell> cells) {
        Optional<RowCode> code = cells.stream()
                .flatMap(cell -> RowCode.read(cell.text()).stream())
                .findFirst();
        // Without its code, only a row of our own shape is ours.
        if (code.isEmpty() && (cells.size() < NUMBER_OF_CELLS - 1 || cells.size() > NUMBER_OF_CELLS)) {
            return;
        }
        if (cells.size() <= TARGET) {
            return;
        }
        List<Remark> remarks = new ArrayList<>();
        cells.forEach(cell -> remarks.addAll(cell.remarks()));
        DocxCell target = cells.get(TARGET);
        boolean hasComment = cells.size() > COMMENT
                && RowCode.read(cells.get(COMMENT).text()).isEmpty();
        if (hasComment && !cells.get(COMMENT).text().isBlank()) {
            Revision by = cells.get(COMMENT).revision().orElse(new Revision("", ""));
            remarks.add(new Remark(by.author(), by.date(), cells.get(COMMENT).text()));
        }
        rows.add(new ReturnedRow(
                rows.size() + 1, code, cells.get(SOURCE).text(), target.text(), remarks, target.revision()));
    }
}
