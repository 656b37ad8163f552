/**
 * HTML as it is found: read tag by tag without a tree, so that broken markup stays as it is. What stands between two block tags is a unit.
 * Entry type: {@link org.swaplane.format.html.HtmlFormat}.
 */
package org.swaplane.format.html;
