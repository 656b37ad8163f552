package org.swaplane.lane;

import java.time.Instant;

/**
 * One version of a track's source. The numbers of a track are 1, 2 and so on; going back to an earlier one makes another.
 *
 * @param name of the file as the client sent it
 * @param sha256 of its bytes, which the lane keeps
 * @param outcomes what became of the segments of the version before, such as {@code unchanged 310 changed 2}; empty for the first
 */
public record SourceVersion(int number, String name, String sha256, Instant addedAt, String outcomes) {}
