/**
 * Tracks against the conditions of their release, what leaves and in which form, and what was released. Entry type:
 * {@link org.swaplane.desktop.release.ReleaseView}.
 */
package org.swaplane.desktop.release;
