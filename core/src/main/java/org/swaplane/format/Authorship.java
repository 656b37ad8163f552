package org.swaplane.format;

/**
 * Who made a unit and who changed it last, and when, as TMX writes it (1.4b, section 4: {@code 20261129T101500Z}); each may be empty.
 */
public record Authorship(String created, String createdBy, String changed, String changedBy) {
    public static final Authorship UNKNOWN = new Authorship("", "", "", "");
}
