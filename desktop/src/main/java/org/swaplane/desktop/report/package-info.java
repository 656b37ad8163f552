/**
 * The view of what the job took, how good it is and what it costs. Entry type: {@link org.swaplane.desktop.report.ReportView}.
 */
package org.swaplane.desktop.report;
