/**
 * Strings of the interface, and how segments are drawn: text with tags as chips, differences marked, states as lane marks.
 */
package org.swaplane.desktop.text;
