/** Review copies as word processor documents: {@link org.swaplane.reviewcopy.docx.DocxFormat}. */
package org.swaplane.reviewcopy.docx;
