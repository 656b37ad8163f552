package org.swaplane.convert;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.document.BilingualDocument;
import org.swaplane.exchange.CopyRows;
import org.swaplane.exchange.CopySplitting;
import org.swaplane.exchange.FileExchange;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Review copies of bilingual files that are in no lane: one of several files, or of a part of them. */
public final class CopyConversion {
    private final FormatRegistry formats;
    private final FileOptions options;
    private final CopyOptions copy;

    /** {@code options} choose the languages where a file has several. */
    public CopyConversion(FormatRegistry formats, FileOptions options, CopyOptions copy) {
        this.formats = formats;
        this.options = options;
        this.copy = copy;
    }

    /**
     * The copy, cut so that none is longer than {@code most} rows.
     *
     * @throws CannotProceedException when a file cannot be read, nothing is left to send, or there are several target languages
     */
    public List<ReviewCopy> copies(List<Path> files, int most, Progress progress) throws IOException {
        List<ReviewCopy.Part> parts = new ArrayList<>();
        Set<String> targets = new LinkedHashSet<>();
        String sourceLanguage = "";
        for (Path file : files) {
            Source source = Source.of(file);
            BilingualDocument document = formats.open(source, options, progress).document();
            if (document.segments().isEmpty()) {
                throw new CannotProceedException(source.name(), "problem.no-segment");
            }
            LanguageChoice languages = new LanguageChoice(options, document);
            List<Integer> chosen = copy.selection().of(document, () -> withFindings(document)).stream()
                    .filter(index -> languages.holds(document.segments().get(index)))
                    .toList();
            if (chosen.isEmpty()) {
                languages.refuseIfNone(source.name());
                continue;
            }
            chosen.forEach(index -> targets.add(
                    document.parts().get(document.segments().get(index).part()).targetLanguage()));
            CopyRows.Owner owner = new CopyRows.Owner("", 0, FileExchange.trip(document));
            ReviewCopy.Part part = new CopyRows(document).part(owner, source.name(), chosen, copy.context());
            sourceLanguage = part.identity().source();
            parts.add(part);
        }
        if (parts.isEmpty()) {
            throw new CannotProceedException("", "problem.selection-empty");
        }
        if (targets.size() > 1) {
            throw new CannotProceedException(
                    files.size() == 1 ? files.get(0).getFileName().toString() : "the copy",
                    "problem.several-targets",
                    String.join(", ", targets));
        }
        String title = parts.stream().map(ReviewCopy.Part::name).collect(Collectors.joining(", "));
        ReviewCopy whole = new ReviewCopy(
                title, copy.preface(), sourceLanguage, targets.iterator().next(), parts);
        return CopySplitting.split(whole, most);
    }

    private static Set<Integer> withFindings(BilingualDocument document) {
        return CheckRun.ofAllChecks().run(document, Progress.NONE).stream()
                .map(Finding::segment)
                .collect(Collectors.toSet());
    }
}
