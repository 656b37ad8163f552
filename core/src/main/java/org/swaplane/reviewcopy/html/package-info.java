/** Review copies as pages that are edited in a browser: {@link org.swaplane.reviewcopy.html.HtmlFormat}. */
package org.swaplane.reviewcopy.html;
