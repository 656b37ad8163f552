package org.swaplane.reviewcopy;

/** Something about a cell that came back that a reader of its text alone would not see. */
public enum Irregularity {
    /** Text that is struck through was read as deleted. */
    STRUCK,
    /** Hidden text was left out. */
    HIDDEN,
    /** The cell spans several columns or rows. */
    MERGED,
    /** The text is the result of a formula, or the spreadsheet turned it into a number, a date or a truth value. */
    CALCULATED,
    /** The target itself says that it is in another language. */
    OTHER_LANGUAGE,
    /** It cannot be told for certain which column holds the target. */
    UNCLEAR_COLUMN
}
