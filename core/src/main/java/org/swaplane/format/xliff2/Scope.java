package org.swaplane.format.xliff2;

import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.document.Directions;
import org.swaplane.document.Directions.Direction;
import org.swaplane.document.Note;
import org.swaplane.document.TargetRule;

/**
 * An open file, group or unit, and what is inherited from it.
 *
 * @param path ids with a slash behind each
 * @param locked whether {@code translate} is {@code no} in it
 * @param notes about everything in it
 * @param rules for every target in it
 */
record Scope(String path, boolean locked, Directions directions, List<Note> notes, List<TargetRule> rules) {
    static final Scope NONE = new Scope("", false, Directions.BY_LANGUAGE, List.of(), List.of());

    /** The element inside this one that the parser stands on. */
    Scope inner(XMLStreamReader xml, String targetLanguage) {
        String translate = Modules.attribute(xml, null, "translate");
        boolean lockedInside = translate.isEmpty() ? locked : translate.equals("no");
        Its its = new Its(xml);
        // What stands in the element is added to both.
        List<TargetRule> rulesInside = new ArrayList<>(rules);
        rulesInside.addAll(its.rules());
        List<Note> notesInside = new ArrayList<>(notes);
        notesInside.addAll(its.notes());
        return new Scope(
                path + Modules.attribute(xml, null, "id") + '/',
                lockedInside || its.excludes(targetLanguage),
                directions(xml),
                notesInside,
                rulesInside);
    }

    private Directions directions(XMLStreamReader xml) {
        String source = Modules.attribute(xml, null, "srcDir");
        String target = Modules.attribute(xml, null, "trgDir");
        return source.isEmpty() && target.isEmpty()
                ? directions
                : new Directions(Direction.of(source, directions.source()), Direction.of(target, directions.target()));
    }
}
