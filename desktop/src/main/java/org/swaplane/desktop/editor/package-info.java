/**
 * The editor for targets, in which tags are solid chips; views put it where a target can be changed. Entry type:
 * {@link org.swaplane.desktop.editor.TargetEditor}.
 */
package org.swaplane.desktop.editor;
