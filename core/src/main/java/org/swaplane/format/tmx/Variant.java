package org.swaplane.format.tmx;

import java.util.Locale;
import org.swaplane.content.Content;
import org.swaplane.format.Authorship;
import org.swaplane.format.TargetSlot;

/**
 * One language variant ({@code tuv}) of a unit.
 *
 * @param slot where its {@code seg} stands
 * @param end end of the {@code tuv}
 */
record Variant(String language, Content content, TargetSlot slot, long end, Authorship authorship) {
    /** Whether this is in the language that {@code code} names; a code without region names all its regions. */
    boolean isIn(String code) {
        String own = language.toLowerCase(Locale.ROOT);
        String wanted = code.toLowerCase(Locale.ROOT);
        return own.equals(wanted) || own.startsWith(wanted + '-');
    }
}
