package org.swaplane.format.xliff2;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.document.TargetRule;
import org.swaplane.document.TargetRule.Comparison;
import org.swaplane.document.TargetRule.Kind;
import org.swaplane.document.TargetRule.Normalization;

/** The validation module (XLIFF 2.1, section 5.8). */
final class Validation {
    private static final Map<String, Kind> KINDS = Map.of(
            "isPresent", Kind.PRESENT,
            "isNotPresent", Kind.NOT_PRESENT,
            "startsWith", Kind.STARTS_WITH,
            "endsWith", Kind.ENDS_WITH);

    private Validation() {}

    /** Adds the rule that the parser stands on; a disabled one takes an inherited one back. Rules of other kinds are left alone. */
    static void addTo(List<TargetRule> rules, XMLStreamReader xml) {
        KINDS.forEach((name, kind) -> {
            String text = Modules.attribute(xml, null, name);
            if (!text.isEmpty()) {
                TargetRule rule = new TargetRule(
                        kind,
                        text,
                        occurs(xml),
                        Modules.attribute(xml, null, "existsInSource").equals("yes"),
                        how(xml));
                rules.remove(rule);
                if (!Modules.attribute(xml, null, "disabled").equals("yes")) {
                    rules.add(rule);
                }
            }
        });
    }

    private static int occurs(XMLStreamReader xml) {
        String written = Modules.attribute(xml, null, "occurs");
        return written.matches("\\d{1,9}") ? Integer.parseInt(written) : 0;
    }

    private static Comparison how(XMLStreamReader xml) {
        Normalization normalization =
                switch (Modules.attribute(xml, null, "normalization").toLowerCase(Locale.ROOT)) {
                    case "none" -> Normalization.NONE;
                    case "nfd" -> Normalization.NFD;
                    default -> Normalization.NFC;
                };
        return new Comparison(!Modules.attribute(xml, null, "caseSensitive").equals("no"), normalization);
    }
}
