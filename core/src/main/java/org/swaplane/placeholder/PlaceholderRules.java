package org.swaplane.placeholder;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;

/**
 * Which placeholders are looked for.
 *
 * @param off names of shipped kinds that are not
 * @param own kinds of one's own, which come first
 */
public record PlaceholderRules(Set<String> off, List<Own> own) {
    /** The shipped kinds but {@code $name$}, which is a price in too many texts. */
    public static final PlaceholderRules DEFAULT = new PlaceholderRules(Set.of("dollar-name"), List.of());

    /** A pattern of one's own, a regular expression. */
    public record Own(String name, String pattern) {
        /** What is wrong with the pattern; empty when nothing is. */
        public String fault() {
            try {
                return Pattern.compile(pattern).matcher("").matches() ? "it matches where there is nothing" : "";
            } catch (PatternSyntaxException e) {
                return e.getDescription();
            }
        }
    }

    public PlaceholderRules {
        off = off == null ? Set.of() : Set.copyOf(off);
        own = own == null ? List.of() : List.copyOf(own);
    }

    /** These rules and more kinds, which come first. */
    public PlaceholderRules and(List<Own> more) {
        List<Own> all = new ArrayList<>(more);
        all.addAll(own);
        return new PlaceholderRules(off, all);
    }

    /** The shipped kinds by name, each with an example. */
    public static Map<String, String> shippedKinds() {
        Map<String, String> kinds = new LinkedHashMap<>();
        Placeholders.SHIPPED.forEach(kind -> kinds.put(kind.name(), kind.example()));
        return kinds;
    }

    /** What finds them; patterns that are broken are left out. */
    public Placeholders placeholders() {
        List<Placeholders.Kind> kinds = new ArrayList<>();
        own.stream()
                .filter(each -> each.fault().isEmpty())
                .forEach(each -> kinds.add(Placeholders.Kind.anywhere(each.name(), each.pattern())));
        Placeholders.SHIPPED.stream().filter(kind -> !off.contains(kind.name())).forEach(kinds::add);
        return new Placeholders(kinds);
    }

    public PlaceholderTags tags() {
        return new PlaceholderTags(placeholders());
    }
}
