package org.swaplane.format.office;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Properties of a run as XML. */
final class RunProperties {
    /** What editing leaves behind and nobody sees: language and proofing marks, revision ids. */
    private static final Pattern NOISE = Pattern.compile(
            "<w:(?:lang|noProof|rtl)\\b[^>]*/>|\\s(?:w:rsid\\w*|lang|altLang|dirty|err|noProof|smtClean)=\"[^\"]*\"");

    private static final Pattern EMPTY = Pattern.compile("<([\\w:]+)\\s*(?:/>|>\\s*</\\1>)");
    private static final Pattern ELEMENT = Pattern.compile("<(?:\\w+:)?(\\w+)|\\s(b|i|u|strike)=\"(?:1|sng)\"");

    private RunProperties() {}

    /** Without what makes no difference; empty when nothing else is left. */
    static String cleaned(String raw) {
        String cleaned = NOISE.matcher(raw).replaceAll("");
        return EMPTY.matcher(cleaned).matches() ? "" : cleaned;
    }

    /** What people call them: the names of the properties. */
    static String label(String properties) {
        StringBuilder label = new StringBuilder();
        Matcher element = ELEMENT.matcher(properties);
        while (element.find()) {
            String name = element.group(1) == null ? element.group(2) : element.group(1);
            if (!name.equals("rPr")) {
                label.append(label.isEmpty() ? "" : " ").append(name);
            }
        }
        return label.isEmpty() ? "plain" : label.toString();
    }
}
