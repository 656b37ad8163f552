/**
 * Automatic checks over segments and what they find. Entry type: {@link org.swaplane.check.CheckRun}.
 */
package org.swaplane.check;
