package org.swaplane.document;

/** Why a segment must not be changed, if it must not. */
public enum Lock {
    NONE,
    /** The file says so ({@code translate="no"}); it can be taken off. */
    FILE,
    /** Somebody locked it here; it can be taken off, and the file will say so. */
    LANE,
    /** A reading rule of the lane says so. */
    RULE,
    /** The file holds it in a form that cannot be written back in parts. */
    STRUCTURE
}
