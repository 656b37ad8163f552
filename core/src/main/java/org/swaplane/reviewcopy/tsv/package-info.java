/** Review copies as tab-separated text: {@link org.swaplane.reviewcopy.tsv.TsvFormat}. */
package org.swaplane.reviewcopy.tsv;
