/** Spelling by Hunspell dictionaries, through Lucene: {@link org.swaplane.spelling.Dictionary}. */
package org.swaplane.spelling;
