package org.swaplane.memory;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.apache.lucene.document.BinaryDocValuesField;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.FieldType;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.document.StoredField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.IndexOptions;
import org.apache.lucene.util.BytesRef;
import org.swaplane.compare.Symbols;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;

/** A unit as a document of the index, and back. */
final class MemoryFields {
    static final String ID = "id";
    static final String HOLDER = "holder";
    /** A segment for which somebody holds it. */
    static final String PLACE = "place";

    private static final String HOLD = "hold";
    private static final String BY_ITSELF = "by-itself";
    static final String PAIR = "pair";
    static final String LANGUAGES = "languages";
    static final String EXACT = "exact";
    static final String WORDS = "words";
    /** How many symbols the source has; units of earlier versions have none of these two. */
    static final String SYMBOLS = "symbols";

    /** The source once more, where it is found faster. */
    static final String COMPARED = "compared";

    static final String SOURCE_TEXT = "source-text";
    static final String TARGET_TEXT = "target-text";
    private static final String SOURCE = "source";
    private static final String TARGET = "target";
    static final String PIECES = "pieces";
    static final String ORIGIN = "origin";
    private static final String PROPERTY = "property";
    private static final char DIVIDER = '\u001F';
    private static final int PIECE = 3;
    /** Longer texts have pieces enough, of which every second is taken, and of still longer ones every fourth: the same in every text. */
    private static final int MANY_PIECES = 32;

    /** In a shorter one, a change of one letter leaves hardly a piece. */
    private static final int SHORT = 8;

    /** Terms that are looked for, and neither counted nor weighed by the length of their text. */
    private static final FieldType TERMS = new FieldType();

    static {
        TERMS.setIndexOptions(IndexOptions.DOCS);
        TERMS.setOmitNorms(true);
        TERMS.setTokenized(true);
        TERMS.freeze();
    }

    private MemoryFields() {}

    /** A unit that came by itself. */
    static Document document(MemoryUnit unit, String id) {
        return document(unit, id, Holdings.Standing.BY_ITSELF);
    }

    static Document document(MemoryUnit unit, String id, Holdings.Standing standing) {
        Document document = new Document();
        document.add(new StringField(ID, id, Field.Store.NO));
        store(document, BY_ITSELF, standing.byItself() ? "yes" : "");
        for (Holdings.Hold hold : standing.holds()) {
            document.add(new StringField(HOLDER, hold.holder(), Field.Store.NO));
            document.add(new StringField(PLACE, hold.place(), Field.Store.NO));
            MemoryUnit.Context context = hold.context();
            store(
                    document,
                    HOLD,
                    String.join(
                            String.valueOf(DIVIDER),
                            hold.holder(),
                            hold.origin(),
                            context.before(),
                            context.after(),
                            context.key()));
        }
        document.add(new StringField(PAIR, pair(unit.sourceLanguage(), unit.targetLanguage()), Field.Store.NO));
        document.add(new StringField(EXACT, exact(unit.source()), Field.Store.NO));
        document.add(new Field(WORDS, new TermStream(words(unit.source())), TERMS));
        document.add(new Field(PIECES, new TermStream(pieces(unit.source())), TERMS));
        document.add(new StringField(LANGUAGES, unit.sourceLanguage() + '>' + unit.targetLanguage(), Field.Store.NO));
        int length = Symbols.of(unit.source(), unit.source()).length;
        document.add(new NumericDocValuesField(SYMBOLS, length));
        document.add(new BinaryDocValuesField(COMPARED, new BytesRef(unit.sourceWritten())));
        document.add(new TextField(SOURCE_TEXT, unit.source().plainText(), Field.Store.NO));
        document.add(new TextField(TARGET_TEXT, unit.target().plainText(), Field.Store.NO));
        document.add(new StoredField(SOURCE, unit.sourceWritten()));
        document.add(new StoredField(TARGET, unit.targetWritten()));
        store(document, "source-language", unit.sourceLanguage());
        store(document, "target-language", unit.targetLanguage());
        store(document, "before", unit.context().before());
        store(document, "after", unit.context().after());
        store(document, "key", unit.context().key());
        Provenance provenance = unit.provenance();
        store(document, "created", provenance.created());
        store(document, "created-by", provenance.createdBy());
        store(document, "changed", provenance.changed());
        store(document, "by", provenance.changedBy());
        store(document, "aligned", provenance.aligned() ? "yes" : "");
        provenance
                .properties()
                .forEach(property -> store(document, PROPERTY, property.name() + DIVIDER + property.text()));
        if (!provenance.origin().isEmpty()) {
            document.add(new StringField(ORIGIN, provenance.origin(), Field.Store.YES));
        }
        return document;
    }

    private static void store(Document document, String name, String value) {
        if (!value.isEmpty()) {
            document.add(new StoredField(name, value));
        }
    }

    /** A source as it is stored. */
    static Content source(String written) {
        return content(written, TagNotation::readSource);
    }

    static MemoryUnit unit(Document document) {
        Content source = source(value(document, SOURCE));
        return new MemoryUnit(
                value(document, "source-language"),
                value(document, "target-language"),
                source,
                content(value(document, TARGET), written -> TagNotation.read(written, source)
                        .content()),
                new MemoryUnit.Context(value(document, "before"), value(document, "after"), value(document, "key")),
                new Provenance(
                        value(document, "created"),
                        value(document, "created-by"),
                        value(document, "changed"),
                        value(document, "by"),
                        value(document, ORIGIN),
                        !value(document, "aligned").isEmpty(),
                        Stream.of(document.getValues(PROPERTY))
                                .map(MemoryFields::property)
                                .toList()));
    }

    /** Why a unit is there; one that nobody holds came by itself. */
    static Holdings.Standing standing(Document document) {
        List<Holdings.Hold> holds = holds(document);
        return new Holdings.Standing(
                holds.isEmpty() || !value(document, BY_ITSELF).isEmpty(), holds);
    }

    private static List<Holdings.Hold> holds(Document document) {
        return Stream.of(document.getValues(HOLD))
                .map(stored -> stored.split(String.valueOf(DIVIDER), 5))
                .map(parts ->
                        new Holdings.Hold(parts[0], parts[1], new MemoryUnit.Context(parts[2], parts[3], parts[4])))
                .toList();
    }

    /** A unit as it stands where the context is the one that is asked for; anywhere else where there is no such place. */
    static MemoryUnit unit(Document document, MemoryUnit.Context asked) {
        MemoryUnit unit = unit(document);
        return holds(document).stream()
                .filter(hold -> hold.context().matches(asked))
                .findFirst()
                .map(hold -> unit.at(hold.context(), hold.origin()))
                .orElse(unit);
    }

    /** Most texts have no tags. */
    private static Content content(String written, Function<String, Content> withTags) {
        return written.indexOf('⟦') < 0 && written.indexOf('⟧') < 0 ? Content.of(written) : withTags.apply(written);
    }

    private static Provenance.Property property(String stored) {
        int divider = stored.indexOf(DIVIDER);
        return new Provenance.Property(stored.substring(0, divider), stored.substring(divider + 1));
    }

    private static String value(Document document, String name) {
        String value = document.get(name);
        return value == null ? "" : value;
    }

    /** The languages alone: a region of its own is a penalty, and not another language. */
    static String pair(String source, String target) {
        return language(source) + '>' + language(target);
    }

    static String language(String code) {
        return Locale.forLanguageTag(code).getLanguage();
    }

    /** The same for the same text with the same tags. */
    static String exact(Content source) {
        return org.swaplane.document.Fingerprint.sha256(
                        Symbols.numbered(source).getBytes(java.nio.charset.StandardCharsets.UTF_8))
                .substring(0, 32);
    }

    /** What texts mostly share that resemble each other. */
    static Set<String> words(Content source) {
        String text = source.plainText().toLowerCase(Locale.ROOT);
        BreakIterator breaks = BreakIterator.getWordInstance(ULocale.ROOT);
        breaks.setText(text);
        List<String> words = new ArrayList<>();
        int start = breaks.first();
        for (int end = breaks.next(); end != BreakIterator.DONE; start = end, end = breaks.next()) {
            String word = text.substring(start, end).strip();
            if (!word.isEmpty()) {
                words.add(word);
            }
        }
        return new LinkedHashSet<>(words);
    }

    /** What texts share of which every word was changed a little. */
    static Set<String> pieces(Content source) {
        String run = folded(source.plainText());
        Set<String> pieces = new LinkedHashSet<>(2 * run.length());
        int everyOf = run.length() <= MANY_PIECES ? 1 : run.length() <= 2 * MANY_PIECES ? 2 : 4;
        for (int i = 0; i + PIECE <= run.length(); i++) {
            if (isTaken(run, i, everyOf)) {
                pieces.add(run.substring(i, i + PIECE));
            }
        }
        if (run.length() <= SHORT) {
            for (int i = 0; i + 2 <= run.length(); i++) {
                pieces.add(run.substring(i, i + 2));
            }
        }
        return pieces;
    }

    private static boolean isTaken(String run, int at, int everyOf) {
        int mixed = (run.charAt(at) * 31 + run.charAt(at + 1)) * 31 + run.charAt(at + 2);
        return ((mixed * 0x9E3779B9) >>> 16) % everyOf == 0;
    }

    /** In lower case, with one sign for each run of white space. */
    private static String folded(String text) {
        StringBuilder run = new StringBuilder(text.length());
        String lower = text.toLowerCase(Locale.ROOT);
        for (int i = 0; i < lower.length(); i++) {
            char c = lower.charAt(i);
            boolean space = Character.isWhitespace(c);
            if (!space) {
                run.append(c);
            } else if (run.isEmpty() || run.charAt(run.length() - 1) != '_') {
                run.append('_');
            }
        }
        return run.toString();
    }
}
