package org.swaplane.format;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.swaplane.placeholder.PlaceholderRules;
import org.swaplane.task.CannotProceedException;

/**
 * How a client document is read and written, where the reviewer wants it otherwise than by default.
 *
 * @param format id of the format that it is read as; empty for the one that it is recognised as
 * @param encoding IANA name of the character encoding that it is read in; empty for the one that it states or seems to have
 * @param extras texts that are translated besides
 * @param selection which texts are translated at all
 * @param itsRules ITS 2.0 rules in XML for documents in XML that do not hold their own; may be empty
 * @param cuts where a reviewer cut units, by their ids: begins of all segments but the first, in UTF-16 units of the unit's plain text
 * @param fonts fonts in the translated document by those of the original; {@code *} for all others
 */
public record DocumentOptions(
        String format,
        String encoding,
        Set<Extra> extras,
        Selection selection,
        PlaceholderRules placeholders,
        Map<String, String> fonts,
        String itsRules,
        Map<String, List<Integer>> cuts) {
    public static final DocumentOptions DEFAULT =
            new DocumentOptions("", "", Set.of(), Selection.ALL, PlaceholderRules.DEFAULT, Map.of(), "", Map.of());

    private static final ObjectMapper JSON = new ObjectMapper();

    public DocumentOptions {
        format = format == null ? "" : format;
        encoding = encoding == null ? "" : encoding;
        extras = extras == null ? Set.of() : Set.copyOf(extras);
        selection = selection == null ? Selection.ALL : selection;
        placeholders = placeholders == null ? PlaceholderRules.DEFAULT : placeholders;
        fonts = fonts == null ? Map.of() : Map.copyOf(fonts);
        itsRules = itsRules == null ? "" : itsRules;
        cuts = cuts == null ? Map.of() : Map.copyOf(cuts);
    }

    public DocumentOptions withFormat(String other) {
        return new DocumentOptions(other, encoding, extras, selection, placeholders, fonts, itsRules, cuts);
    }

    public DocumentOptions withEncoding(String other) {
        return new DocumentOptions(format, other, extras, selection, placeholders, fonts, itsRules, cuts);
    }

    public DocumentOptions with(Set<Extra> others) {
        return new DocumentOptions(format, encoding, others, selection, placeholders, fonts, itsRules, cuts);
    }

    public DocumentOptions with(Selection other) {
        return new DocumentOptions(format, encoding, extras, other, placeholders, fonts, itsRules, cuts);
    }

    public DocumentOptions with(PlaceholderRules others) {
        return new DocumentOptions(format, encoding, extras, selection, others, fonts, itsRules, cuts);
    }

    public DocumentOptions withFonts(Map<String, String> others) {
        return new DocumentOptions(format, encoding, extras, selection, placeholders, others, itsRules, cuts);
    }

    public DocumentOptions withItsRules(String others) {
        return new DocumentOptions(format, encoding, extras, selection, placeholders, fonts, others, cuts);
    }

    /** The same with this unit cut so. */
    public DocumentOptions withCut(String unit, List<Integer> starts) {
        Map<String, List<Integer>> all = new HashMap<>(cuts);
        all.put(unit, List.copyOf(starts));
        return new DocumentOptions(format, encoding, extras, selection, placeholders, fonts, itsRules, all);
    }

    /** The same, no unit being cut by hand. */
    public DocumentOptions uncut() {
        return new DocumentOptions(format, encoding, extras, selection, placeholders, fonts, itsRules, Map.of());
    }

    /** What holds for other documents of the kind as well. */
    public DocumentOptions forOthers() {
        return new DocumentOptions("", "", extras, selection, placeholders, fonts, itsRules, Map.of());
    }

    /** As JSON, for the lane's database and for the command line. */
    public String toJson() {
        try {
            return equals(DEFAULT) ? "" : JSON.writeValueAsString(this);
        } catch (JsonProcessingException e) {
            throw new AssertionError("records of strings can be written", e);
        }
    }

    /**
     * Reads what {@link #toJson} wrote.
     *
     * @param name of what holds it, for the message
     * @throws CannotProceedException when it is something else
     */
    public static DocumentOptions ofJson(String name, String json) {
        try {
            return json.isEmpty() ? DEFAULT : JSON.readValue(json, DocumentOptions.class);
        } catch (JsonProcessingException e) {
            throw new CannotProceedException(name, "problem.no-document-options", e.getOriginalMessage());
        }
    }
}
