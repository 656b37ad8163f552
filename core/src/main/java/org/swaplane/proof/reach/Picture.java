package org.swaplane.proof.reach;

/**
 * A picture or embedded object that may hold text.
 *
 * @param name of the entry in the package, or what the document calls it
 * @param place part or line that shows it
 * @param bytes its size; 0 where it lies elsewhere
 * @param width in pixels; 0 where unknown
 * @param height in pixels; 0 where unknown
 */
public record Picture(String name, String place, long bytes, int width, int height) {}
