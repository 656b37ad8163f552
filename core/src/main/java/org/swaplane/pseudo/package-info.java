/**
 * Pseudo-translation of a segment: text in other letters that is longer and marked at both ends, with everything that must not change
 * left alone. Entry types: {@link org.swaplane.pseudo.PseudoTranslator} and its {@link org.swaplane.pseudo.PseudoSettings}.
 */
package org.swaplane.pseudo;
