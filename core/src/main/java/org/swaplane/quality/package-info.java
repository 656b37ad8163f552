/**
 * How good a translation is, by MQM: error categories and severities, marked errors, the score of all segments or of a random sample, and
 * the agreement of two reviewers. Entry types: {@link org.swaplane.quality.QualityScheme}, {@link org.swaplane.quality.QualityScore}.
 */
package org.swaplane.quality;
