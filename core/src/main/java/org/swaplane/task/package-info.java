/**
 * Long work: progress, cancellation, and the one exception that says what could not be done, where, and what to do.
 */
package org.swaplane.task;
