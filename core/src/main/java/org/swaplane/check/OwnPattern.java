package org.swaplane.check;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;

/**
 * A pattern of one's own: two regular expressions and what is said when they hold.
 *
 * @param source what the source must hold for the pattern to be asked; empty for every source
 * @param target what the target must not hold, or must hold when {@code required}; {@code $1} stands for what the source's first group
 *     found
 * @param message what is said
 * @param ignoreCase whether small and capital letters are the same
 */
@JsonInclude(JsonInclude.Include.NON_DEFAULT)
public record OwnPattern(
        String name,
        String source,
        String target,
        String message,
        boolean required,
        boolean ignoreCase,
        Severity severity) {
    public OwnPattern {
        name = name == null ? "" : name;
        source = source == null ? "" : source;
        target = target == null ? "" : target;
        message = message == null || message.isBlank() ? name : message;
        severity = severity == null ? Severity.WARNING : severity;
    }

    /** What is wrong with the expressions; empty when nothing is. */
    public String fault() {
        try {
            if (source.isEmpty() && target.isEmpty()) {
                return "it has neither an expression for the source nor one for the target";
            }
            Pattern.compile(source);
            Pattern.compile(target.replaceAll("\\$\\d", ""));
            return "";
        } catch (PatternSyntaxException e) {
            return e.getDescription() + " at " + Math.max(0, e.getIndex());
        }
    }
}
