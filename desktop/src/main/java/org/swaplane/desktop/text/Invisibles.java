package org.swaplane.desktop.text;

import java.util.BitSet;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;

/**
 * Characters that nobody sees, drawn as signs while somebody wants to see them; each as one character, so that places in a text stay the
 * same. A usual space stays one, so that lines wrap as ever: whoever draws the text adds a dot, or a line below it.
 */
public final class Invisibles {
    private static final BooleanProperty SHOWN = new SimpleBooleanProperty();

    private Invisibles() {}

    /** Whether they are drawn, everywhere in the window. */
    public static BooleanProperty shownProperty() {
        return SHOWN;
    }

    /** Where usual spaces stand in a text, while they are to be seen. */
    public static BitSet spaces(String text) {
        BitSet spaces = new BitSet();
        for (int i = 0; SHOWN.get() && i < text.length(); i++) {
            spaces.set(i, text.charAt(i) == ' ');
        }
        return spaces;
    }

    /** A text as it is drawn. */
    public static String of(String text) {
        if (!SHOWN.get()) {
            return text;
        }
        StringBuilder drawn = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            drawn.append(sign(text.charAt(i)));
        }
        return drawn.toString();
    }

    private static char sign(char c) {
        return switch (c) {
            case '\u00A0', '\u202F', '\u2009' -> '\u00B0';
            case '\t' -> '\u2192';
            case '\u00AD' -> '\u00AC';
            case '\u200B', '\u200C', '\u200D', '\u2060' -> '\u00A6';
            case '\u200E',
                    '\u200F',
                    '\u202A',
                    '\u202B',
                    '\u202C',
                    '\u202D',
                    '\u202E',
                    '\u2066',
                    '\u2067',
                    '\u2068',
                    '\u2069' -> '\u00B1';
            default -> c;
        };
    }
}
