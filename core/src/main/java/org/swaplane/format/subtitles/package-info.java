/** Subtitles: each cue is a unit, its number or time where it stands. Entry type: {@link org.swaplane.format.subtitles.SubtitlesFormat}. */
package org.swaplane.format.subtitles;
