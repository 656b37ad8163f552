package org.swaplane.desktop.text;

import org.swaplane.content.Content;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.pseudo.PseudoTranslator;
import org.swaplane.wording.InterfaceTranslation;

/** The application's own dry run: all its strings pseudo-translated, so that what is clipped or not in a bundle stands out. */
public final class PseudoInterface implements InterfaceTranslation {
    private final PseudoTranslator pseudo = new PseudoTranslator(new Placeholders());

    @Override
    public String id() {
        return "pseudo";
    }

    @Override
    public synchronized String translate(String pattern) {
        return pseudo.translate(Content.of(pattern), 0).plainText();
    }
}
