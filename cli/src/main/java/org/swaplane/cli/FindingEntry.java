package org.swaplane.cli;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.swaplane.check.Finding;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;

/** A finding as JSON, the same in all commands. */
final class FindingEntry {
    private FindingEntry() {}

    /** @param source of its segment */
    static Map<String, Object> of(Finding finding, Content source) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("check", finding.check());
        entry.put("severity", finding.severity().name().toLowerCase(Locale.ROOT));
        entry.put("unit", finding.unit());
        entry.put("segment", finding.key());
        entry.put("message", finding.message());
        entry.put("source", offsets(finding.source()));
        entry.put("target", offsets(finding.target()));
        entry.put(
                "suggestion",
                finding.suggestion()
                        .map(fixed -> TagNotation.write(fixed, source))
                        .orElse(null));
        return entry;
    }

    private static List<List<Integer>> offsets(List<Span> spans) {
        return spans.stream().map(span -> List.of(span.start(), span.end())).toList();
    }
}
