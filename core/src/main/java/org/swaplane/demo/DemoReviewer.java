package org.swaplane.demo;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/**
 * A made-up reviewer who answers a copy as people do: mostly in tracked changes, with comments, and not always sparing the
 * table. Works on the document as text, as a word processor would leave it.
 */
public final class DemoReviewer {
    public static final String NAME = "Ines Falk";

    private static final Pattern ROW = Pattern.compile("<w:tr>.*?</w:tr>", Pattern.DOTALL);
    private static final Pattern CELL = Pattern.compile("<w:tc>.*?</w:tc>", Pattern.DOTALL);

    private final List<String> rows = new ArrayList<>();
    private final StringBuilder comments = new StringBuilder();
    private final String date;
    private final String before;
    private final String after;

    private DemoReviewer(String document, Instant at) {
        date = at.truncatedTo(ChronoUnit.SECONDS).toString();
        Matcher row = ROW.matcher(document);
        int first = -1;
        int last = 0;
        while (row.find()) {
            first = first < 0 ? row.start() : first;
            last = row.end();
            rows.add(row.group());
        }
        before = document.substring(0, first);
        after = document.substring(last);
    }

    /** Answers the copy of the demo file: corrections, a remark, a damaged tag, a row lost and a source touched. */
    public static void answer(Path sent, Path returned, Instant at) throws IOException {
        edit(sent, returned, at, reviewer -> {
            reviewer.retype(5, "15:04", "14:05");
            reviewer.retype(31, "1,500", "1.500");
            reviewer.retype(2, "finden das ganze Jahr über täglich statt", "verkehren ganzjährig täglich");
            reviewer.retype(45, "Sammelstation", "Sammelstelle");
            reviewer.retype(21, "erhalten 15 % Rabatt", "zahlen 15 % weniger");
            reviewer.overwrite(13, "Winterfahrplan");
            reviewer.overwrite(39, "Anhänger werden wie ein zweites Fahrzeug berechnet.");
            reviewer.overwrite(12, "Mit [1] markierte Zeiten hängen von den Gezeiten ab.");
            reviewer.comment(47, "Is the bar the same as the café? Then say so.");
            reviewer.touchSource(44, "There are 320 on board", "There are 330 on board");
            reviewer.delete(46);
        });
    }

    /** What is done to the rows of the table; numbers are those of the copy. */
    public interface Session {
        void with(DemoReviewer reviewer);
    }

    /** Reads a copy, lets {@code session} change its rows, and saves it elsewhere. */
    public static void edit(Path sent, Path returned, Instant at, Session session) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(Files.newInputStream(sent));
                ZipOutputStream out = new ZipOutputStream(bytes)) {
            String commentsPart = "";
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                byte[] part = in.readAllBytes();
                if (entry.getName().equals("word/document.xml")) {
                    DemoReviewer reviewer = new DemoReviewer(new String(part, StandardCharsets.UTF_8), at);
                    session.with(reviewer);
                    part = (reviewer.before + String.join("", reviewer.rows) + reviewer.after)
                            .getBytes(StandardCharsets.UTF_8);
                    commentsPart = reviewer.comments.toString();
                } else if (entry.getName().equals("word/_rels/document.xml.rels")) {
                    part = new String(part, StandardCharsets.UTF_8)
                            .replace(
                                    "</Relationships>",
                                    "<Relationship Id=\"rId9\" Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/comments\" Target=\"comments.xml\"/></Relationships>")
                            .getBytes(StandardCharsets.UTF_8);
                } else if (entry.getName().equals("[Content_Types].xml")) {
                    part = new String(part, StandardCharsets.UTF_8)
                            .replace(
                                    "</Types>",
                                    "<Override PartName=\"/word/comments.xml\" ContentType=\"application/vnd.openxmlformats-officedocument.wordprocessingml.comments+xml\"/></Types>")
                            .getBytes(StandardCharsets.UTF_8);
                }
                out.putNextEntry(new ZipEntry(entry.getName()));
                out.write(part);
            }
            out.putNextEntry(new ZipEntry("word/comments.xml"));
            out.write(
                    ("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<w:comments xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\">"
                                    + commentsPart + "</w:comments>")
                            .getBytes(StandardCharsets.UTF_8));
        }
        Files.write(returned, bytes.toByteArray());
    }

    /** Replaces words in the target as a tracked change. */
    public void retype(int row, String old, String words) {
        target(row, cell -> {
            int at = cell.indexOf(old);
            if (at < 0) {
                throw new IllegalStateException("row " + row + " does not hold " + old);
            }
            return cell.substring(0, at) + "</w:t></w:r>" + tracked("del", "delText", old) + tracked("ins", "t", words)
                    + "<w:r><w:t xml:space=\"preserve\">" + cell.substring(at + old.length());
        });
    }

    /** Writes the target anew, untracked and without any formatting. */
    public void overwrite(int row, String text) {
        target(
                row,
                cell -> cell.replaceFirst(
                        "(?s)</w:pPr>.*</w:p>", "</w:pPr>" + Matcher.quoteReplacement(run(text)) + "</w:p>"));
    }

    /** Puts a comment into the margin of the target. */
    public void comment(int row, String text) {
        int id = row;
        target(row, cell -> cell.replace("</w:p>", "<w:r><w:commentReference w:id=\"" + id + "\"/></w:r></w:p>"));
        comments.append("<w:comment w:id=\"" + id + "\" w:author=\"" + NAME + "\" w:date=\"" + date + "\"><w:p>"
                + run(text) + "</w:p></w:comment>");
    }

    /** Changes the source, which nobody should. */
    public void touchSource(int row, String old, String words) {
        rows.set(row, rows.get(row).replace(old, words));
    }

    /** Deletes a row, tracked. */
    public void delete(int row) {
        String mark = "<w:del w:id=\"9\" w:author=\"" + NAME + "\" w:date=\"" + date + "\"/></w:trPr>";
        rows.set(row, rows.get(row).replace("</w:trPr>", mark));
    }

    /** Copies a row to the end of the table. */
    public void duplicate(int row) {
        rows.add(rows.get(row));
    }

    /** Moves a row to the end of the table. */
    public void moveToEnd(int row) {
        rows.add(rows.get(row));
        rows.set(row, "");
    }

    private interface CellEdit {
        String apply(String cell);
    }

    private void target(int row, CellEdit edit) {
        String text = rows.get(row);
        Matcher cell = CELL.matcher(text);
        for (int i = 0; i < 3; i++) {
            cell.find();
        }
        rows.set(row, text.substring(0, cell.start()) + edit.apply(cell.group()) + text.substring(cell.end()));
    }

    private String tracked(String kind, String element, String text) {
        return "<w:" + kind + " w:id=\"1\" w:author=\"" + NAME + "\" w:date=\"" + date + "\"><w:r><w:" + element
                + " xml:space=\"preserve\">" + text + "</w:" + element + "></w:r></w:" + kind + '>';
    }

    private static String run(String text) {
        return "<w:r><w:t xml:space=\"preserve\">" + text + "</w:t></w:r>";
    }
}
