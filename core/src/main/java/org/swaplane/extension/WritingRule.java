package org.swaplane.extension;

import com.fasterxml.jackson.annotation.JsonAlias;

/**
 * When this happens to a segment, a foreign attribute of its unit, segment or target element gets this value.
 *
 * @param when rules of earlier versions, which were about states only, call it {@code state}
 */
public record WritingRule(
        @JsonAlias("state") Occasion when, String namespace, String element, String attribute, String value) {}
