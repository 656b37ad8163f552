/**
 * The command line: parses, calls core, prints. Entry type: {@link org.swaplane.cli.SwapLane}. The contract for other programs
 * (exit status, JSON) is kept here and nowhere else.
 */
package org.swaplane.cli;
