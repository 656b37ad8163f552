package org.swaplane.memory;

import java.util.List;

/**
 * Where a unit of a memory comes from.
 *
 * @param created when it was made, ISO 8601; empty where nobody knows, like all of these
 * @param changed when it was changed last, ISO 8601
 * @param origin the file or lane that it comes from
 * @param aligned whether it was put together from two finished documents by a program
 * @param properties what else its file said of it
 */
public record Provenance(
        String created,
        String createdBy,
        String changed,
        String changedBy,
        String origin,
        boolean aligned,
        List<Property> properties) {
    /** @param name empty for a note */
    public record Property(String name, String text) {}

    public Provenance {
        properties = List.copyOf(properties);
    }

    /** One that is made now. */
    public static Provenance by(String who, String at, String origin) {
        return new Provenance(at, who, at, who, origin, false, List.of());
    }

    public static Provenance of(String origin) {
        return by("", "", origin);
    }

    public Provenance asAligned() {
        return new Provenance(created, createdBy, changed, changedBy, origin, true, properties);
    }

    Provenance from(String other) {
        return new Provenance(created, createdBy, changed, changedBy, other, aligned, properties);
    }
}
