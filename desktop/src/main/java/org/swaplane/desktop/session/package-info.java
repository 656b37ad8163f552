/**
 * The open lane as the views see it: what is in hand, what was found, and the work in the background. No nodes, no scene. Entry
 * type: {@link org.swaplane.desktop.session.LaneSession}.
 */
package org.swaplane.desktop.session;
