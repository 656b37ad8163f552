package org.swaplane.placeholder;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Which argument each printf conversion takes: {@code %s} the next one, {@code %2$s} the second (IEEE Std 1003.1, fprintf). */
public final class PrintfArguments {
    private static final Pattern CONVERSION =
            Pattern.compile("%(?:(\\d+)\\$)?([-+#0I]*)([\\d.*]*)(\\p{Alpha}*[@\\p{Alpha}])");

    private PrintfArguments() {}

    /**
     * The placeholders with the number of its argument written in every conversion, so that those of two texts can be compared; others
     * are as they are.
     */
    public static List<String> numbered(List<String> written) {
        List<String> numbered = new ArrayList<>(written.size());
        int next = 1;
        for (String each : written) {
            Matcher conversion = CONVERSION.matcher(each);
            if (conversion.matches()) {
                String number = conversion.group(1) == null ? String.valueOf(next++) : conversion.group(1);
                numbered.add('%' + number + '$' + conversion.group(4));
            } else {
                numbered.add(each);
            }
        }
        return numbered;
    }
}
