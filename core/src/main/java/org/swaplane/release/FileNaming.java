package org.swaplane.release;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.task.CannotProceedException;

/** The pattern that names of written files are made by: {@code {name}_{target}.{ext}} and the like. */
public record FileNaming(String pattern) {
    /** Values to try a pattern with. */
    public static final Map<String, String> SAMPLE =
            Map.of("source", "en-GB", "target", "de-DE", "lane", "Lane", "initials", "ML", "date", "2026-12-31");

    public static final FileNaming DEFAULT = new FileNaming("{name}_{target}.{ext}");

    private static final Pattern FIELD = Pattern.compile("\\{(\\w+)\\}");
    private static final Pattern FORBIDDEN = Pattern.compile("[/\\\\:*?\"<>|\\p{Cntrl}]");

    /**
     * The name for a file.
     *
     * @param fields what the pattern may use besides {@code name} and {@code ext}, such as {@code target} or {@code date}
     * @throws CannotProceedException when the pattern names a field that there is not, or gives no file name
     */
    public String name(String original, Map<String, String> fields) {
        int dot = original.lastIndexOf('.');
        Matcher matcher = FIELD.matcher(pattern);
        StringBuilder name = new StringBuilder();
        while (matcher.find()) {
            String value =
                    switch (matcher.group(1)) {
                        case "name" -> dot < 0 ? original : original.substring(0, dot);
                        case "ext" -> dot < 0 ? "" : original.substring(dot + 1);
                        default -> fields.get(matcher.group(1));
                    };
            if (value == null) {
                throw new CannotProceedException(pattern, "problem.pattern-field", matcher.group());
            }
            matcher.appendReplacement(name, Matcher.quoteReplacement(value));
        }
        matcher.appendTail(name);
        String result = FORBIDDEN.matcher(name.toString()).replaceAll("-").strip();
        if (result.isEmpty() || result.matches("\\.+")) {
            throw new CannotProceedException(pattern, "problem.pattern-empty");
        }
        return result;
    }
}
