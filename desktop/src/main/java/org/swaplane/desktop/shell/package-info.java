/**
 * The frame around the views: rail, strip, messages, command palette, list of keys. Entry type:
 * {@link org.swaplane.desktop.shell.Shell}.
 */
package org.swaplane.desktop.shell;
