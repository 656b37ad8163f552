package org.swaplane.bench;

import java.util.ArrayList;
import java.util.List;

/**
 * Two hundred segments as a reviewer finds them: most are right, others lack a tag, have a wrong number, an empty target that the memory
 * knows, a forbidden term, a misspelled word, a word too few, a word that is to be replaced everywhere, or ask for a note.
 */
final class HourFile {
    static final int SEGMENTS = 200;
    static final String REPLACED = "kai";
    static final String BY = "anleger";

    /** What a segment needs, and the keys without which it cannot be had: one for the state, and what changes the text. */
    enum Task {
        NOTHING(1),
        NUMBER(2),
        TAGS(2),
        EXACT(2),
        FUZZY(2),
        TERM(2),
        SPELLING(2),
        NOTE(2 + HourFile.NOTE.length()),
        TYPING(1 + HourFile.TYPED.length());

        private final int fewest;

        Task(int fewest) {
            this.fewest = fewest;
        }

        int fewest() {
            return fewest;
        }
    }

    static final String NOTE = "which pier";
    static final String TYPED = " heute";

    /** One segment: what stands in it, and what shall stand there in the end. */
    record Row(Task task, String source, String target, String wanted) {}

    private static final List<Task> ORDER = List.of(
            Task.NOTHING,
            Task.NUMBER,
            Task.NOTHING,
            Task.TAGS,
            Task.EXACT,
            Task.NOTHING,
            Task.FUZZY,
            Task.TERM,
            Task.NOTHING,
            Task.SPELLING,
            Task.NOTHING,
            Task.NOTE,
            Task.TYPING,
            Task.NOTHING,
            Task.NOTHING,
            Task.NOTHING);

    private HourFile() {}

    static List<Row> rows() {
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < SEGMENTS; i++) {
            rows.add(row(ORDER.get(i % ORDER.size()), i));
        }
        return rows;
    }

    private static Row row(Task task, int i) {
        String number = String.valueOf(100 + i);
        return switch (task) {
            case NUMBER ->
                new Row(
                        task,
                        "Cabin " + number + " is free.",
                        "Kabine 9" + number + " ist frei.",
                        "Kabine " + number + " ist frei.");
            case TAGS ->
                new Row(
                        task,
                        "Go to <g id=\"1\">deck " + number + "</g>",
                        "Bitte auf Deck " + number,
                        "Bitte auf Deck <g id=\"1\">" + number + "</g>");
            case EXACT -> new Row(task, "Sailing of boat number " + number, "", "Fahrt des Bootes Nummer " + number);
            case FUZZY ->
                new Row(
                        task,
                        "The crossing with car deck " + number + " lasts an hour",
                        "",
                        "Die Fahrt mit Autodeck " + number + " dauert eine Stunde");
            case TERM -> new Row(task, "The ferry " + number, "Das Boot " + number, "Das Schiff " + number);
            case SPELLING ->
                new Row(
                        task,
                        "Stop " + number + " at the harbour",
                        "Halt " + number + " am Hafenn",
                        "Halt " + number + " am Hafen");
            case TYPING -> new Row(task, "Cabin " + number + " today", "Kabine " + number, "Kabine " + number + TYPED);
            default ->
                new Row(task, "Quay number " + number, "Der kai Nummer " + number, "Der anleger Nummer " + number);
        };
    }

    static String xliff() {
        StringBuilder file = new StringBuilder("<xliff version=\"1.2\"><file original=\"hour\" source-language=\"en\""
                + " target-language=\"de\" datatype=\"plaintext\"><body>\n");
        List<Row> rows = rows();
        for (int i = 0; i < rows.size(); i++) {
            String target = rows.get(i).target().isEmpty()
                    ? ""
                    : "<target state=\"translated\">" + rows.get(i).target() + "</target>";
            file.append("<trans-unit id=\"")
                    .append(i)
                    .append("\"><source>")
                    .append(rows.get(i).source())
                    .append("</source>")
                    .append(target)
                    .append("</trans-unit>\n");
        }
        return file.append("</body></file></xliff>").toString();
    }

    /** What was translated before; a fuzzy match has another number. */
    static String memory() {
        StringBuilder memory = new StringBuilder("<tmx version=\"1.4\"><header srclang=\"en\"/><body>\n");
        List<Row> rows = rows();
        for (Row row : rows) {
            if (row.task() == Task.EXACT) {
                add(memory, row.source(), row.wanted());
            }
        }
        add(memory, "The crossing with car deck 7 lasts an hour", "Die Fahrt mit Autodeck 7 dauert eine Stunde");
        return memory.append("</body></tmx>").toString();
    }

    private static void add(StringBuilder memory, String source, String target) {
        memory.append("<tu><tuv xml:lang=\"en\"><seg>")
                .append(source)
                .append("</seg></tuv><tuv xml:lang=\"de\"><seg>")
                .append(target)
                .append("</seg></tuv></tu>\n");
    }
}
