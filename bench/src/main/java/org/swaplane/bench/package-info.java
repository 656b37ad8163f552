/**
 * Measurements over generated files, always as a ratio to a baseline in the same run. Not part of the normal build's tests. Entry
 * type: {@link org.swaplane.bench.FormatBench}.
 */
package org.swaplane.bench;
