package org.swaplane.check;

import com.ibm.icu.text.MessageFormat;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.function.IntFunction;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Fingerprint;
import org.swaplane.task.Progress;

/**
 * What findings were known by in lanes before version 2 of their tables: a hash of the sentence that was shown and both texts. Only for
 * bringing such lanes up to date.
 */
public final class LegacyIdentity {
    private static final ResourceBundle SENTENCES =
            ResourceBundle.getBundle("org.swaplane.check.legacy-sentences", Locale.ROOT);

    private final Map<Integer, List<Finding>> findings = new HashMap<>();
    private final IntFunction<CheckedSegment> segments;

    private LegacyIdentity(IntFunction<CheckedSegment> segments) {
        this.segments = segments;
    }

    /** Over all segments of a track. */
    public static LegacyIdentity over(CheckRun checks, int size, IntFunction<CheckedSegment> segments) {
        LegacyIdentity legacy = new LegacyIdentity(segments);
        checks.over(size, segments)
                .run(Progress.NONE, (position, found) -> legacy.findings.put(position, new ArrayList<>(found)));
        return legacy;
    }

    /** The finding of a check in a segment that was shown so; where its wording has changed, the only one of its check. */
    public Optional<Finding> find(String check, int position, String message) {
        List<Finding> ofCheck = findings.getOrDefault(position, List.of()).stream()
                .filter(finding -> finding.check().equals(check))
                .toList();
        return ofCheck.stream()
                .filter(finding ->
                        finding.message().equals(message) || before(finding).equals(message))
                .findFirst()
                .or(() -> ofCheck.size() == 1 ? Optional.of(ofCheck.get(0)) : Optional.empty());
    }

    /** How a finding was said in those lanes. */
    private static String before(Finding finding) {
        String key = finding.phrase().key();
        return SENTENCES.containsKey(key)
                ? new MessageFormat(SENTENCES.getString(key), Locale.ENGLISH)
                        .format(finding.phrase().arguments().toArray())
                : "";
    }

    /** What a finding was known by when it was shown so. */
    public String identity(Finding finding, String message) {
        CheckedSegment at = segments.apply(finding.segment());
        String texts = TagNotation.write(at.source(), at.source()) + '\n' + TagNotation.write(at.target(), at.source());
        return Fingerprint.ofWritten(finding.check() + '\n' + message + '\n' + texts);
    }
}
