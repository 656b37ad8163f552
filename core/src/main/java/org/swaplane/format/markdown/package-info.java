/**
 * Markdown (CommonMark with tables) and the front matter before it: each paragraph, heading, list item and cell is a unit, its marks are
 * tags. Entry type: {@link org.swaplane.format.markdown.MarkdownFormat}.
 */
package org.swaplane.format.markdown;
