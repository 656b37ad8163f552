/**
 * Letting results go: conditions, what leaves in which form under which name, and the list that goes along. Entry type: {@link org.swaplane.release.Gate}.
 */
package org.swaplane.release;
