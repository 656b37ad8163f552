package org.swaplane.proof.reach;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Source;

/** Every text that somebody could read in a client document. */
public final class AllTexts {
    private AllTexts() {}

    /**
     * The texts of a document.
     *
     * @param format id of its format
     * @param options by which it was read
     */
    public static List<FoundText> of(String format, Source source, FileOptions options) throws IOException {
        return switch (FormatTraits.of(format).markup()) {
            case OFFICE_TEXT, OFFICE_SHEETS, OFFICE_SLIDES -> new PackageTexts(source).find();
            case HTML -> new HtmlTexts().find(source, options);
            case XML -> new XmlTexts().find(source);
            case JSON -> JsonTexts.find(source, options);
            case MARKDOWN, PROPERTIES, TABLE, LINES, CATALOGUE -> LineTexts.find(format, source, options);
        };
    }

    /** The texts that stand in {@code after} as they stood in {@code before}. */
    public static List<FoundText> unchanged(List<FoundText> before, List<FoundText> after) {
        Set<String> known = new HashSet<>();
        before.forEach(each -> known.add(folded(each.text())));
        Set<FoundText> listed = new HashSet<>();
        List<FoundText> unchanged = new ArrayList<>();
        for (FoundText each : after) {
            if (known.contains(folded(each.text())) && listed.add(each)) {
                unchanged.add(each);
            }
        }
        return unchanged;
    }

    private static String folded(String text) {
        return text.strip().replaceAll("\\s+", " ");
    }
}
