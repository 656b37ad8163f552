/**
 * Two versions of a file: which segments are the same, which changed, and what the translations of the old one are worth in the new one.
 * Entry types: {@link org.swaplane.version.VersionAlignment}, {@link org.swaplane.version.CarryOver}.
 */
package org.swaplane.version;
