/**
 * Where two texts differ. Entry type: {@link org.swaplane.compare.TextDifference}.
 */
package org.swaplane.compare;
