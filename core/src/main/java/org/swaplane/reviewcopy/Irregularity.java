package org.swaplane.reviewcopy;

/** Something about a cell that came back that a reader of its text alone would not see. */
public enum Irregularity {
    /** Text that is struck through was read as deleted. */
    STRUCK,
    /** Hidden text was left out. */
    HIDDEN,
    /** The cell spans several columns or rows. */
    MERGED,
    /** The text is the result of a formula, or the spreadsheet turned it into a fraction, a date or a truth value. */
    CALCULATED,
    /** The spreadsheet turned it into a whole number, which has no zeros before it any more. */
    NUMBER,
    /** Numbers or bullets that the program shows before its lines are no text, and were not read. */
    NUMBERED,
    /** A symbol of a font of its own stands in it, which no text can hold. */
    SYMBOL,
    /** The program that saved it put other white space into its texts. */
    FOLDED,
    /** The target itself says that it is in another language. */
    OTHER_LANGUAGE,
    /** It cannot be told for certain which column holds the target. */
    UNCLEAR_COLUMN
}
