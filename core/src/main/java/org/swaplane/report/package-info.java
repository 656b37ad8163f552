/**
 * HTML reports from templates. Entry type: {@link org.swaplane.report.HtmlReport}.
 */
package org.swaplane.report;
