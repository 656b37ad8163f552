package org.swaplane.content;

/** One piece of a segment's content: text, or a tag that keeps its identity from reading to writing. */
public sealed interface Run permits Text, Tag {
    /** Length in UTF-16 units of the plain text; 0 for a tag. */
    int length();
}
