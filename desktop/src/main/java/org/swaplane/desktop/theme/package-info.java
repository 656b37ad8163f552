/**
 * Fonts, palettes and style sheets. Entry type: {@link org.swaplane.desktop.theme.Theme}.
 */
package org.swaplane.desktop.theme;
