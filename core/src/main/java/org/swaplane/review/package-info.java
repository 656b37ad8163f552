/**
 * What helps to work through the segments of a track: filters, find and replace, the outline, words to complete. Entry types:
 * {@link org.swaplane.review.SegmentFilter} and {@link org.swaplane.review.TextSearch}.
 */
package org.swaplane.review;
