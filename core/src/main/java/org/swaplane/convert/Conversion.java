package org.swaplane.convert;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.format.table.DelimitedText;
import org.swaplane.format.tmx.NewTmx;
import org.swaplane.format.xliff12.NewXliff12;
import org.swaplane.format.xliff2.NewXliff2;
import org.swaplane.reviewcopy.ReviewCopyFormats;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** One file made from another: XLIFF, TMX and delimited text into each other. Review copies are made by {@link CopyConversion}. */
public final class Conversion {
    private static final Set<String> DELIMITED = Set.of("csv", "tsv", "tab");
    private static final Set<String> XLIFF = Set.of("xlf", "xliff");

    private final FormatRegistry formats;
    private final FileOptions options;
    private final Optional<XliffVersion> xliff;

    /** The version of XLIFF that a new file is written in. */
    public enum XliffVersion {
        V1_2("xliff-1.2"),
        V2_1("xliff-2");

        private final String format;

        XliffVersion(String format) {
            this.format = format;
        }

        private boolean isOf(BilingualDocument document) {
            return document.format().startsWith(format);
        }
    }

    /**
     * How files are read, and which version of XLIFF is written; where nobody asks for one, 2.1, and an XLIFF file stays as it is.
     *
     * @param options its languages choose among several in the file, or say what the file does not; empty for neither
     */
    public Conversion(FormatRegistry formats, FileOptions options, Optional<XliffVersion> xliff) {
        this.formats = formats;
        this.options = options;
        this.xliff = xliff;
    }

    /**
     * What writes {@code out} from {@code in}; the input has been read when this returns.
     *
     * @throws CannotProceedException when the input cannot be read, or there is no way to that extension
     */
    public NewFile.Writer writer(Path in, Path out, Progress progress) throws IOException {
        Source source = Source.of(in);
        String from = extension(in);
        String to = extension(out);
        BilingualDocument read = read(source, from, progress);
        boolean asItIs = options.sourceLanguage().isEmpty()
                && options.targetLanguage().isEmpty()
                && xliff.filter(wanted -> !wanted.isOf(read)).isEmpty();
        boolean same = from.equals(to) || XLIFF.contains(from) && XLIFF.contains(to);
        if (same && asItIs) {
            return bytes -> copy(source, bytes);
        }
        BilingualDocument document = chosen(source.name(), read);
        if (document.segments().isEmpty()) {
            throw new CannotProceedException(source.name(), "problem.no-segment");
        }
        if (to.equals("tmx")) {
            return bytes -> NewTmx.write(document, bytes);
        } else if (XLIFF.contains(to)) {
            return bytes -> {
                if (xliff.equals(Optional.of(XliffVersion.V1_2))) {
                    NewXliff12.write(document, bytes);
                } else {
                    NewXliff2.write(onePair(source.name(), document), bytes);
                }
            };
        } else if (DELIMITED.contains(to)) {
            char delimiter = to.equals("csv") ? ',' : '\t';
            return bytes -> DelimitedText.write(onePair(source.name(), document), delimiter, bytes);
        }
        throw new CannotProceedException(out.toString(), "problem.no-conversion", document.format());
    }

    /** Whether a review copy is asked for, and not a table of one kind made of a table of another. */
    public static boolean isCopy(List<Path> in, Path out) {
        String from = extension(in.get(0));
        String to = extension(out);
        boolean tables = DELIMITED.contains(from) && DELIMITED.contains(to);
        boolean same = in.size() == 1 && from.equals(to);
        return !tables
                && !same
                && ReviewCopyFormats.ofInstalled().byExtension(to).isPresent();
    }

    private BilingualDocument read(Source source, String extension, Progress progress) throws IOException {
        // Only the name tells that a text is a table; one that has no pairs is a document.
        if (DELIMITED.contains(extension) && DelimitedText.hasPairs(source)) {
            return DelimitedText.read(source, options.sourceLanguage(), options.targetLanguage());
        }
        return formats.open(source, options, progress).document();
    }

    /** The parts in the languages that were asked for. */
    private BilingualDocument chosen(String name, BilingualDocument document) {
        LanguageChoice languages = new LanguageChoice(options, document);
        if (languages.holdsAll()) {
            return document;
        }
        languages.refuseIfNone(name);
        List<Part> parts = document.parts();
        List<Segment> segments =
                document.segments().stream().filter(languages::holds).toList();
        List<Part> own = parts.stream().filter(languages::holds).toList();
        List<Segment> renumbered = segments.stream()
                .map(segment -> segment.inPart(own.indexOf(parts.get(segment.part()))))
                .toList();
        return new BilingualDocument(
                document.format(), document.encoding(), own, renumbered, document.problems(), document.foreign());
    }

    private static BilingualDocument onePair(String name, BilingualDocument document) {
        String pairs = LanguageChoice.pairs(document.parts());
        if (pairs.contains(",")) {
            throw new CannotProceedException(name, "problem.several-pairs", pairs);
        }
        return document;
    }

    private static void copy(Source source, OutputStream out) throws IOException {
        try (InputStream bytes = source.open()) {
            bytes.transferTo(out);
        }
    }

    /** What stands behind the last dot of its name, in lower case. */
    public static String extension(Path path) {
        String name = path.getFileName().toString().toLowerCase(Locale.ROOT);
        return name.substring(name.lastIndexOf('.') + 1);
    }
}
