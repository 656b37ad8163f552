package org.swaplane.format.office;

import java.io.IOException;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.Extra;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.format.table.WorkbookPairs;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** DOCX, XLSX and PPTX. A workbook with a sheet whose first row names a source and a target is bilingual. */
public final class OfficeFormat implements BilingualFormat {
    private static final Set<String> EXTENSIONS = Set.of("docx", "docm", "xlsx", "xlsm", "pptx", "pptm");
    private static final Set<String> WORKBOOKS = Set.of("xlsx", "xlsm");

    @Override
    public String id() {
        return "office";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(
                "docx",
                FormatTraits.of(FormatTraits.Markup.OFFICE_TEXT)
                        .goingOn()
                        .with(EnumSet.of(Extra.COMMENTS, Extra.HIDDEN, Extra.PROPERTIES)),
                "xlsx",
                FormatTraits.of(FormatTraits.Markup.OFFICE_SHEETS)
                        .selectable()
                        .with(EnumSet.of(Extra.COMMENTS, Extra.HIDDEN, Extra.PROPERTIES, Extra.SHEET_NAMES)),
                "pptx",
                FormatTraits.of(FormatTraits.Markup.OFFICE_SLIDES)
                        .goingOn()
                        .with(EnumSet.of(Extra.COMMENTS, Extra.HIDDEN, Extra.PROPERTIES, Extra.MASTERS)));
    }

    @Override
    public boolean recognises(Head head) {
        return EXTENSIONS.contains(head.extension());
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        if (!Head.of(source).isZip()) {
            throw new CannotProceedException(source.name(), "problem.office-unreadable");
        }
        Optional<WorkbookPairs> pairs =
                WORKBOOKS.contains(Head.of(source).extension()) ? pairs(source, options) : Optional.empty();
        return pairs.isPresent() ? pairs.get() : OfficeDocument.read(source, options, progress);
    }

    private static Optional<WorkbookPairs> pairs(Source source, FileOptions options) throws IOException {
        try {
            return WorkbookPairs.read(source, options);
        } catch (CannotProceedException e) {
            return Optional
                    .empty(); // it is read as a document, which says what is broken, or needs less of the package
        }
    }
}
