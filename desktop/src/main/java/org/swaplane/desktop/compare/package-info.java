/**
 * Two versions of a source side by side, and taking the new one. Entry type: {@link org.swaplane.desktop.compare.CompareView}.
 */
package org.swaplane.desktop.compare;
