/**
 * Reports for people who have no Swap Lane: what one says ({@link org.swaplane.report.Report}), and the forms in which it leaves
 * ({@link org.swaplane.report.ReportForm}).
 */
package org.swaplane.report;
