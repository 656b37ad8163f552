package org.swaplane.check;

import java.util.List;

/** One kind of automatic check. Immutable; may be asked from several threads. */
public interface Check {
    /** Id as in cli.md, such as {@code numbers}. */
    String id();

    /** What it finds in one segment. */
    List<Finding> check(CheckedSegment segment);
}
