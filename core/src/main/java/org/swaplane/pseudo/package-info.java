/**
 * Pseudo-translation of a segment: legible accented text that is longer and bracketed, with everything that must not change
 * left alone. Entry type: {@link org.swaplane.pseudo.PseudoTranslator}.
 */
package org.swaplane.pseudo;
