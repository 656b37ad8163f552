package org.swaplane.reviewcopy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.swaplane.document.Fingerprint;

/** Copies for tests of forms. */
public final class SampleCopies {
    public static final String TRIP = "K7Q2M";

    private SampleCopies() {}

    public static CopyIdentity identity(int rows) {
        return new CopyIdentity("lane-1", 4, TRIP, rows, "en-GB", "de-DE", "");
    }

    /** Of sources and targets in turn. */
    public static ReviewCopy copy(String... texts) {
        List<ReviewRow> rows = new ArrayList<>();
        for (int i = 0; i + 1 < texts.length; i += 2) {
            RowCode code = RowCode.of(TRIP, i / 2 + 1, Fingerprint.ofWritten(texts[i]));
            rows.add(new ReviewRow(Optional.of(code), texts[i], texts[i + 1], "", false));
        }
        ReviewCopy.Part part = new ReviewCopy.Part(identity(rows.size()), "info.xlf", rows);
        return new ReviewCopy("info.xlf", List.of("Please correct."), "en-GB", "de-DE", List.of(part));
    }
}
