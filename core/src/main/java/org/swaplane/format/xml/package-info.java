/**
 * XML of any vocabulary: which elements and attributes are text is said by rules (ITS 2.0) in the file or beside the options of the
 * document, or by elements that are pointed at. Entry type: {@link org.swaplane.format.xml.XmlFormat}.
 */
package org.swaplane.format.xml;
