package org.swaplane.terms;

import java.util.List;

/**
 * What a term list says of one term between two languages.
 *
 * @param source empty where a target is forbidden whatever the source says
 * @param preferred the targets that it may have; empty where the list names forbidden ones only
 * @param forbidden the targets that it must not have
 * @param explanation definition and notes, a line each; empty where the list has none
 */
public record Term(String source, List<String> preferred, List<String> forbidden, String explanation) {
    /** One that needs no explanation. */
    public Term(String source, List<String> preferred, List<String> forbidden) {
        this(source, preferred, forbidden, "");
    }

    public Term {
        preferred = List.copyOf(preferred);
        forbidden = List.copyOf(forbidden);
    }

    /** Whether it is the same in both languages. */
    public boolean isKept() {
        return preferred.size() == 1 && preferred.get(0).equals(source);
    }
}
