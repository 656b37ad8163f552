package org.swaplane.reviewcopy.xlsx;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.ElementText;
import org.swaplane.reviewcopy.Remark;

/** The comments on the cells of a sheet: notes, and threads of comments with their answers. */
final class XlsxComments {
    /** What programs that know no threads are shown in their place. */
    private static final String SUBSTITUTE = "[Threaded comment]";

    private final Map<String, byte[]> parts;
    private final Map<String, List<Remark>> remarks = new HashMap<>();

    /** {@code sheet} is the name of its part. */
    XlsxComments(Map<String, byte[]> parts, String sheet) throws XMLStreamException {
        this.parts = parts;
        int slash = sheet.lastIndexOf('/');
        String folder = sheet.substring(0, slash + 1);
        byte[] relations = parts.get(folder + "_rels/" + sheet.substring(slash + 1) + ".rels");
        for (String part : relations(relations, folder).values()) {
            byte[] content = parts.get(part);
            if (content != null && part.contains("threadedComment")) {
                readThreads(content);
            } else if (content != null && part.contains("comments")) {
                readNotes(content);
            }
        }
    }

    Map<String, List<Remark>> byCell() {
        return remarks;
    }

    /** Targets of a part of relations by their ids, as names of parts; {@code folder} is that of the part they are of. */
    static Map<String, String> relations(byte[] part, String folder) throws XMLStreamException {
        Map<String, String> targets = new HashMap<>();
        if (part == null) {
            return targets;
        }
        XMLStreamReader2 xml = XlsxReader.open(part);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("Relationship")) {
                String target = String.valueOf(xml.getAttributeValue(null, "Target"));
                targets.put(xml.getAttributeValue(null, "Id"), resolved(target, folder));
            }
        }
        return targets;
    }

    private static String resolved(String target, String folder) {
        if (target.startsWith("/")) {
            return target.substring(1);
        }
        String from = folder;
        String rest = target;
        while (rest.startsWith("../")) {
            rest = rest.substring(3);
            from = from.substring(0, Math.max(0, from.lastIndexOf('/', from.length() - 2)) + 1);
        }
        return from + rest;
    }

    private void readNotes(byte[] part) throws XMLStreamException {
        List<String> authors = new ArrayList<>();
        XMLStreamReader2 xml = XlsxReader.open(part);
        while (xml.hasNext()) {
            if (xml.next() != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            if (xml.getLocalName().equals("author")) {
                authors.add(ElementText.read(xml));
            } else if (xml.getLocalName().equals("comment")) {
                String cell = xml.getAttributeValue(null, "ref");
                String author = String.valueOf(xml.getAttributeValue(null, "authorId"));
                int by = author.matches("\\d{1,4}") ? Integer.parseInt(author) : authors.size();
                String text = XlsxStrings.rich(xml).text().strip();
                String name = by < authors.size() ? authors.get(by) : "";
                // Some programs begin a note with its author's name.
                String own = text.startsWith(name + ":\n")
                        ? text.substring(name.length() + 2).strip()
                        : text;
                if (!text.startsWith(SUBSTITUTE)) {
                    add(cell, new Remark(name, "", own));
                }
            }
        }
    }

    private void readThreads(byte[] part) throws XMLStreamException {
        Map<String, String> people = people();
        XMLStreamReader2 xml = XlsxReader.open(part);
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                    && xml.getLocalName().equals("threadedComment")) {
                String cell = xml.getAttributeValue(null, "ref");
                String date = xml.getAttributeValue(null, "dT");
                String who = people.getOrDefault(xml.getAttributeValue(null, "personId"), "");
                xml.nextTag();
                add(
                        cell,
                        new Remark(
                                who,
                                date == null ? "" : date,
                                XlsxText.read(ElementText.read(xml)).strip()));
            }
        }
    }

    private Map<String, String> people() throws XMLStreamException {
        Map<String, String> people = new HashMap<>();
        byte[] part = parts.get("xl/persons/person.xml");
        if (part != null) {
            XMLStreamReader2 xml = XlsxReader.open(part);
            while (xml.hasNext()) {
                if (xml.next() == XMLStreamConstants.START_ELEMENT
                        && xml.getLocalName().equals("person")) {
                    people.put(xml.getAttributeValue(null, "id"), xml.getAttributeValue(null, "displayName"));
                }
            }
        }
        return people;
    }

    private void add(String cell, Remark remark) {
        remarks.computeIfAbsent(cell, none -> new ArrayList<>()).add(remark);
    }
}
