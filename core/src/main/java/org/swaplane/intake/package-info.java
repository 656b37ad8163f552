/**
 * What arrives from a client or comes back: files, folders and zips, each file told by its content. Changes nothing. Entry type:
 * {@link org.swaplane.intake.Arrivals}.
 */
package org.swaplane.intake;
