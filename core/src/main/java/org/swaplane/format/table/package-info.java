/**
 * Review copies: a bilingual document as a table for a person, with its identity inside, and what comes back in it. Entry
 * types: {@link org.swaplane.format.table.ReviewCopy} and {@link org.swaplane.format.table.DocxReviewCopy}.
 */
package org.swaplane.format.table;
