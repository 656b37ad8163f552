package org.swaplane.format;

/** Texts of a document that are left alone unless somebody asks for them. */
public enum Extra {
    /** Comments and annotations of a document's authors. */
    COMMENTS,
    /** Text that is formatted as hidden, and slides, sheets, rows and columns that are not shown. */
    HIDDEN,
    /** Title, subject, keywords and the like in the properties of the file. */
    PROPERTIES,
    /** Names of sheets, as tabs show them. */
    SHEET_NAMES,
    /** Text on masters and layouts of presentations. */
    MASTERS
}
