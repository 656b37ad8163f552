package org.swaplane.release;

import java.util.Arrays;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.swaplane.task.CannotProceedException;

/** The pattern that names of written files are made by: {@code {name}_{target}.{ext}} and the like. */
public record FileNaming(String pattern) {
    /** Values to try a pattern with. */
    public static final Map<String, String> SAMPLE = Map.of(
            "source", "en-GB",
            "target", "de-DE",
            "lane", "Lane",
            "initials", "ML",
            "date", "2026-12-31",
            "version", "1",
            "release", "1",
            "path", "texts/web");

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
        String result = plain(filled(original, fields));
        if (result.isEmpty()) {
            throw new CannotProceedException(pattern, "problem.pattern-empty");
        }
        return result;
    }

    /**
     * The folder for a file, its parts with {@code /} between them; empty for none. It never leads out of where it begins.
     *
     * @throws CannotProceedException when the pattern names a field that there is not
     */
    public String folder(String original, Map<String, String> fields) {
        return Arrays.stream(filled(original, fields).split("/"))
                .map(FileNaming::plain)
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining("/"));
    }

    private String filled(String original, Map<String, String> fields) {
        int dot = original.lastIndexOf('.');
        Matcher matcher = FIELD.matcher(pattern);
        StringBuilder filled = new StringBuilder();
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
            matcher.appendReplacement(filled, Matcher.quoteReplacement(value));
        }
        return matcher.appendTail(filled).toString();
    }

    /** Without what file systems do not allow; empty where nothing is left, or dots only. */
    private static String plain(String name) {
        // A dot or a blank at the end is lost on some systems.
        return FORBIDDEN.matcher(name).replaceAll("-").strip().replaceFirst("[. ]+$", "");
    }
}
