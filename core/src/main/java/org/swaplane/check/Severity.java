package org.swaplane.check;

/** Whether a finding stops delivery. */
public enum Severity {
    ERROR,
    WARNING
}
