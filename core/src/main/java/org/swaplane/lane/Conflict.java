package org.swaplane.lane;

import java.util.Optional;

/**
 * A change that was not made, since its segment is not any more what it was made on.
 *
 * @param now what the segment holds; empty when there is no such segment any more
 */
public record Conflict(EditRequest.Wanted wanted, Optional<Value> now) {}
