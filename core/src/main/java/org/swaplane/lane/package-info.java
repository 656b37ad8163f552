/**
 * The lane as a whole: its folder, tracks, trips, settings, and the journal that every edit is committed to at once. Entry
 * type: {@link org.swaplane.lane.Lane}.
 */
package org.swaplane.lane;
