package org.swaplane.proof.reach;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Instructions of fields in text documents (ISO/IEC 29500-1, section 17.16): a few hold text that is shown. */
final class FieldCode {
    private static final Set<String> WITH_TEXT =
            Set.of("IF", "QUOTE", "ASK", "FILLIN", "SET", "COMPARE", "MERGEFIELD", "TA", "XE", "TC");
    private static final Pattern FORMAT_SWITCH = Pattern.compile("\\\\[@#*]\\s*(?:\"[^\"]*\"|\\S+)");
    private static final Pattern STRING = Pattern.compile("[\"“]([^\"”]*)[\"”]");
    private static final Pattern TIP = Pattern.compile("\\\\o\\s+\"([^\"]*)\"");
    private static final Pattern BUTTON =
            Pattern.compile("^(?:MACROBUTTON|GOTOBUTTON)\\s+\\S+\\s+(.*)", Pattern.DOTALL);

    private FieldCode() {}

    /** Texts in an instruction that a reader of the document sees. */
    static List<String> shown(String instruction) {
        String code = FORMAT_SWITCH.matcher(instruction).replaceAll("").strip();
        List<String> texts = new ArrayList<>();
        Matcher button = BUTTON.matcher(code);
        if (button.matches()) {
            texts.add(button.group(1));
        } else if (WITH_TEXT.contains(code.split("\\s", 2)[0].toUpperCase(Locale.ROOT))) {
            STRING.matcher(code).results().forEach(string -> texts.add(string.group(1)));
        } else {
            TIP.matcher(code).results().forEach(tip -> texts.add(tip.group(1)));
        }
        return texts;
    }
}
