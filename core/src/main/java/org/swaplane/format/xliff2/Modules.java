package org.swaplane.format.xliff2;

import javax.xml.stream.XMLStreamReader;

/** Namespaces of the modules of XLIFF 2 that are read. */
final class Modules {
    static final String CORE = "urn:oasis:names:tc:xliff:document:2.";
    static final String MATCHES = "urn:oasis:names:tc:xliff:matches:2.0";
    static final String GLOSSARY = "urn:oasis:names:tc:xliff:glossary:2.0";
    static final String METADATA = "urn:oasis:names:tc:xliff:metadata:2.0";
    static final String SIZE_RESTRICTION = "urn:oasis:names:tc:xliff:sizerestriction:2.0";
    static final String VALIDATION = "urn:oasis:names:tc:xliff:validation:2.0";
    static final String ITS = "http://www.w3.org/2005/11/its";

    private Modules() {}

    /** Whether the parser stands on this element. */
    static boolean at(XMLStreamReader xml, String namespace, String name) {
        return namespace.equals(xml.getNamespaceURI()) && xml.getLocalName().equals(name);
    }

    /** Whether the parser stands on an element of the core with this name. */
    static boolean atCore(XMLStreamReader xml, String name) {
        String namespace = xml.getNamespaceURI();
        return xml.getLocalName().equals(name)
                && (namespace == null || namespace.isEmpty() || namespace.startsWith(CORE));
    }

    /** An attribute, empty when it is not there; {@code null} as namespace for one without. */
    static String attribute(XMLStreamReader xml, String namespace, String name) {
        String value = xml.getAttributeValue(namespace, name);
        return value == null ? "" : value;
    }
}
