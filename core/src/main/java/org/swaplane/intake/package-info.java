/**
 * What arrives from a client or comes back: files, folders and zips, each file told by its content. Until something is accepted, nothing changes but
 * that the lane keeps the bytes of what arrived, and lets go of what is not wanted. Entry type:
 * {@link org.swaplane.intake.Arrivals}.
 */
package org.swaplane.intake;
