package org.swaplane.format.xliff2;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import java.util.stream.Stream;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.document.Note;
import org.swaplane.document.TargetRule;

/**
 * What the attributes of the ITS module on the element that the parser stands on say to a person or demand of a target (XLIFF 2.1,
 * section 5.9, over ITS 2.0): issues that were found before, who worked at it, for which languages it is, which characters it may
 * have.
 */
record Its(XMLStreamReader xml) {
    /** A language range (RFC 4647, section 2.2). */
    private static final Pattern RANGE = Pattern.compile("(\\*|[A-Za-z]{1,8})(-(\\*|[A-Za-z0-9]{1,8}))*");

    private static final List<String> SHOWN =
            List.of("locQualityIssueComment", "locQualityIssueType", "person", "org", "revPerson", "revOrg");

    List<Note> notes() {
        List<Note> notes = new ArrayList<>(0);
        for (String name : SHOWN) {
            String value = attribute(name);
            if (!value.isBlank()) {
                Note.Kind kind = name.equals("locQualityIssueComment") ? Note.Kind.GENERAL : Note.Kind.CONTEXT;
                notes.add(new Note(value, text("its." + name), kind, 0));
            }
        }
        return notes;
    }

    /** ITS 2.0, section 8.10: whether the element is not for this language. */
    boolean excludes(String language) {
        String filter = xml.getAttributeValue(Modules.ITS, "localeFilterList");
        if (filter == null || language.isEmpty()) {
            return false;
        }
        List<Locale.LanguageRange> ranges = Stream.of(filter.split(","))
                .map(String::strip)
                .filter(RANGE.asMatchPredicate())
                .map(Locale.LanguageRange::new)
                .toList();
        boolean unreadable = ranges.isEmpty() && !filter.isBlank();
        if (unreadable) {
            return false;
        }
        boolean listed = !Locale.filter(
                        ranges, List.of(Locale.forLanguageTag(language)), Locale.FilteringMode.EXTENDED_FILTERING)
                .isEmpty();
        return listed == attribute("localeFilterType").equals("exclude");
    }

    /** ITS 2.0, section 8.19: a character class or a dot. Only those are taken, since a whole expression could run for ever. */
    List<TargetRule> rules() {
        String allowed = attribute("allowedCharacters");
        boolean isClass = allowed.startsWith("[") && allowed.endsWith("]");
        if (!isClass || !compiles(allowed)) {
            return List.of();
        }
        return List.of(
                new TargetRule(TargetRule.Kind.ALLOWED_CHARACTERS, allowed, 0, false, TargetRule.Comparison.DEFAULT));
    }

    private static boolean compiles(String allowed) {
        try {
            return Pattern.compile(allowed).matcher("").groupCount() == 0;
        } catch (PatternSyntaxException e) {
            return false;
        }
    }

    private String attribute(String name) {
        return Modules.attribute(xml, Modules.ITS, name);
    }
}
