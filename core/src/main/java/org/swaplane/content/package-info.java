/**
 * What stands inside a segment: text and inline tags that keep their identity from reading to writing, and how tags are
 * written as text. Entry type: {@link org.swaplane.content.Content}. Knows nothing of files or languages.
 */
package org.swaplane.content;
