/**
 * Numbers, times and dates in running text, read as values in the notation of a language (CLDR). Entry type:
 * {@link org.swaplane.number.NumberReader}.
 */
package org.swaplane.number;
