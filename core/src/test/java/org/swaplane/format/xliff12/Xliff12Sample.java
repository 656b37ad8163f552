package org.swaplane.format.xliff12;

/** XLIFF 1.2 files for tests. */
final class Xliff12Sample {
    private Xliff12Sample() {}

    /** A file with these units, the first of which is on line 3. */
    static String file(String units) {
        return "<?xml version='1.0' encoding='UTF-8'?>\n"
                + "<xliff version='1.2' xmlns='urn:oasis:names:tc:xliff:document:1.2'><file original='info.json' source-language='en-GB' target-language='de-DE' datatype='plaintext'><body>\n"
                + units
                + "</body></file></xliff>";
    }
}
