/**
 * The sentences that core says to people, from a resource bundle. Entry type: {@link org.swaplane.wording.Wording}.
 */
package org.swaplane.wording;
