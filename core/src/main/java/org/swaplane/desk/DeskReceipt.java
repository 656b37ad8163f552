package org.swaplane.desk;

/**
 * What the desk says when a task was handed over.
 *
 * @param sha256 of the package that closed it
 */
public record DeskReceipt(String task, int version, String at, String person, String sha256) {}
