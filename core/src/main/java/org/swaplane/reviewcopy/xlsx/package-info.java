/** Review copies as spreadsheets: {@link org.swaplane.reviewcopy.xlsx.XlsxFormat}. */
package org.swaplane.reviewcopy.xlsx;
