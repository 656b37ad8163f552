package org.swaplane.desktop.editor;

import org.swaplane.content.Tag;

/** A tag in the editor with its number; a single character there, so it cannot be half-deleted. */
record Chip(Tag tag, int number) {}
