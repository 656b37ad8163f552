/** Review copies that were saved as OpenDocument: {@link org.swaplane.reviewcopy.opendocument.OpenDocumentFormat}. */
package org.swaplane.reviewcopy.opendocument;
