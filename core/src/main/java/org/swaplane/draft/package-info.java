/**
 * Drafts of translations by a service on this computer or another one, and the simulated service that ships. Entry type:
 * {@link org.swaplane.draft.DraftService}.
 */
package org.swaplane.draft;
