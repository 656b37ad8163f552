/**
 * Review copies: the document that goes to a person, its identity, and what comes back in it. Each form is a {@link
 * org.swaplane.reviewcopy.ReviewCopyFormat}, found by {@link org.swaplane.reviewcopy.ReviewCopyFormats}; nobody else knows which there are.
 */
package org.swaplane.reviewcopy;
