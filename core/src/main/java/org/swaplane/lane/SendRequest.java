package org.swaplane.lane;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.exchange.DueTime;
import org.swaplane.exchange.Rate;
import org.swaplane.exchange.RowSelection;

/**
 * What shall go out, to whom and how.
 *
 * @param people one copy for each of them; several share the work by words
 * @param selection what of each track; the shares are made of it
 * @param due until when it is wanted back
 * @param rates what was agreed with whom, by their names; kept with the trips
 * @param instructions of the sender's own, a paragraph each
 * @param context how many segments around a part are shown as well
 * @param together whether several tracks into the same language go in one copy
 * @param notes whether notes of people here that are not settled stand in the comment column, or at the segments of a bilingual file
 */
public record SendRequest(
        List<String> people,
        Purpose purpose,
        Form form,
        RowSelection selection,
        Optional<DueTime> due,
        Map<String, Rate> rates,
        List<String> instructions,
        int context,
        boolean together,
        boolean notes) {
    /** One without the notes of people here. */
    public SendRequest(
            List<String> people,
            Purpose purpose,
            Form form,
            RowSelection selection,
            Optional<DueTime> due,
            Map<String, Rate> rates,
            List<String> instructions,
            int context,
            boolean together) {
        this(people, purpose, form, selection, due, rates, instructions, context, together, false);
    }

    public SendRequest {
        people = List.copyOf(people);
        rates = Map.copyOf(rates);
        instructions = List.copyOf(instructions);
    }

    /** The same of other segments. */
    public SendRequest of(RowSelection other) {
        return new SendRequest(people, purpose, form, other, due, rates, instructions, context, together, notes);
    }

    /** The same with the notes of people here. */
    public SendRequest withNotes() {
        return new SendRequest(people, purpose, form, selection, due, rates, instructions, context, together, true);
    }

    /** All of it to one person. */
    public static SendRequest of(String person, Purpose purpose, Form form) {
        return new SendRequest(
                List.of(person), purpose, form, RowSelection.ALL, Optional.empty(), Map.of(), List.of(), 0, false);
    }

    /**
     * What goes out: a table for a person in one of the forms of review copies, or a file for another tool.
     *
     * @param id the extension of a form of review copy, or that of one of the others
     */
    public record Form(String id) {
        /** A review copy as a word processor document. */
        public static final Form DOCX = new Form("docx");

        /** The bilingual file itself as it stands now; of a document, XLIFF 2.1. */
        public static final Form FILE = new Form("file");

        /** A document as XLIFF 1.2, for tools that know no newer one. */
        public static final Form XLIFF_12 = new Form("xliff-1.2");

        /** Whether it is a table for a person. */
        public boolean isReviewCopy() {
            return !equals(FILE) && !equals(XLIFF_12);
        }
    }
}
