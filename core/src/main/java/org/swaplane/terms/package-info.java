/**
 * Term lists: read as they come by {@link org.swaplane.terms.TermListReader}, looked up in a text by {@link org.swaplane.terms.TermIndex}.
 * Knows nothing of checks.
 */
package org.swaplane.terms;
