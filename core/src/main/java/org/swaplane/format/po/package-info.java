/** PO and POT, the message catalogues of gettext: bilingual, with plural forms. Entry type: {@link org.swaplane.format.po.PoFormat}. */
package org.swaplane.format.po;
