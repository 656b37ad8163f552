/**
 * What a job took: active time by the signs of life that somebody gives, and how far segments were changed, computed from what a journal
 * tells. Entry types: {@link org.swaplane.effort.VisitClock}, {@link org.swaplane.effort.SegmentStory},
 * {@link org.swaplane.effort.Effort}.
 */
package org.swaplane.effort;
