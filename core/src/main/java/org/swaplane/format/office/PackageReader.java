package org.swaplane.format.office;

import java.io.IOException;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import javax.xml.stream.XMLStreamException;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.Extra;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Selection;
import org.swaplane.format.Source;
import org.swaplane.format.TextDocument;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** Reads the parts of one package. */
final class PackageReader {
    private final Source source;
    private final Map<String, byte[]> entries;
    private final FileOptions options;
    private final boolean whole;
    private final Workbook workbook;

    PackageReader(Source source, Map<String, byte[]> entries, FileOptions options) {
        this.source = source;
        this.entries = entries;
        this.options = options;
        boolean hidden = options.document().extras().contains(Extra.HIDDEN);
        Selection selection = options.document().selection();
        this.whole = Workbook.isWhole(entries, selection, hidden)
                && !options.document().extras().contains(Extra.SHEET_NAMES);
        try {
            this.workbook = Workbook.read(whole ? Map.of() : entries, selection, hidden);
        } catch (XMLStreamException e) {
            throw broken(Workbook.PART, e);
        }
    }

    /** The texts of one part. */
    TextDocument read(String name, PartKind kind) throws IOException {
        EncodedText text = EncodedText.of(Source.of(source.name() + '!' + name, entries.get(name)));
        TextDocument.Builder builder = new TextDocument.Builder(text, options);
        String part = text.readAll();
        String shortName = name.substring(name.lastIndexOf('/') + 1).replace(".xml", "");
        kind.plain().ifPresent(plain -> addPlain(plain, builder, part, shortName));
        if (kind.vocabulary().isPresent()) {
            addParagraphs(name, kind, builder, part, shortName);
        }
        return builder.build("office", CharacterEscapes.XML);
    }

    private void addPlain(PlainTexts plain, TextDocument.Builder builder, String part, String shortName) {
        Set<String> kept = plain == PlainTexts.SHEET_NAMES ? workbook.namedInFormulas() : Set.of();
        kept.forEach(sheet -> builder.problem(0, 0, Phrase.of("file.sheet-name-kept", sheet)));
        plain.addTo(builder, part, shortName, kept);
    }

    private void addParagraphs(
            String name, PartKind kind, TextDocument.Builder builder, String part, String shortName) {
        try {
            boolean revised = new PartReader(
                            part, kind.vocabulary().orElseThrow(), options, builder, shortName, cells(name, kind))
                    .read();
            if (revised) {
                builder.problem(0, 0, Phrase.of("file.tracked-changes", name));
            }
        } catch (XMLStreamException e) {
            throw broken(name, e);
        }
    }

    private Predicate<String> cells(String name, PartKind kind) {
        if (whole) {
            return any -> true;
        }
        return switch (kind) {
            case STRINGS -> workbook.sharedTexts();
            case SHEET -> workbook.cells(name);
            default -> any -> true;
        };
    }

    private CannotProceedException broken(String name, XMLStreamException e) {
        var at = e.getLocation();
        return new CannotProceedException(
                new CannotProceedException.Place(
                        source.name() + '!' + name,
                        at == null ? 0 : at.getLineNumber(),
                        at == null ? 0 : at.getColumnNumber()),
                Phrase.of("problem.document-broken", Reason.of(e)),
                e);
    }
}
