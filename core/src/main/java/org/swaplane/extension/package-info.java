/**
 * What a lane takes foreign attributes and elements of its files to mean, and how it mirrors states into them, without knowing
 * whose they are. Entry type: {@link org.swaplane.extension.ExtensionRules}.
 */
package org.swaplane.extension;
