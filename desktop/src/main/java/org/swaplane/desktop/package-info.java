/**
 * The desktop: its start and the pictures that it takes of itself. Entry type: {@link org.swaplane.desktop.Desktop}.
 */
package org.swaplane.desktop;
