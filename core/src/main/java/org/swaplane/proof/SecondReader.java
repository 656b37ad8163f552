package org.swaplane.proof;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.XMLConstants;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.parsers.SAXParser;
import javax.xml.parsers.SAXParserFactory;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.swaplane.document.BilingualDocument;
import org.swaplane.format.FormatTraits;
import org.swaplane.proof.Proof.Detail;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;
import org.swaplane.wording.Wording;
import org.xml.sax.SAXException;
import org.xml.sax.ext.DefaultHandler2;

/** Asks a reader that is not the one we read with whether a file that was written is one of its kind. */
final class SecondReader {
    private static final String ID = "second-reader";
    private static final char[] DELIMITERS = {',', ';', '\t', '|'};

    private SecondReader() {}

    /** Empty for a kind of file that has no second reader here. */
    static Optional<Proof> proof(BilingualDocument document, Path original, Path written) throws IOException {
        Optional<Proof> proof = asked(document, original, written);
        boolean fails =
                proof.filter(each -> each.verdict() == Proof.Verdict.FAIL).isPresent();
        // What it does not take of the client's own file is not the fault of the way out.
        return fails
                        && asked(document, original, original)
                                .filter(each -> each.verdict() == Proof.Verdict.FAIL)
                                .isPresent()
                ? proof.map(each -> Proof.unlessFound(ID, each.details()))
                : proof;
    }

    private static Optional<Proof> asked(BilingualDocument document, Path original, Path written) throws IOException {
        Charset charset = TargetCharacters.charset(document);
        try {
            return switch (FormatTraits.of(document.format()).markup()) {
                case OFFICE_TEXT, OFFICE_SHEETS, OFFICE_SLIDES -> Optional.of(wellFormedParts(original, written));
                case HTML -> Optional.of(sameElements(original, written));
                case JSON -> Optional.of(validJson(Files.readString(written, charset)));
                case PROPERTIES -> Optional.of(sameKeys(original, written, charset));
                case TABLE -> Optional.of(sameRows(original, written, charset));
                case CATALOGUE, LINES, MARKDOWN -> Optional.empty();
                case XML -> Optional.of(wellFormed(written));
            };
        } catch (SAXException | SQLException | RuntimeException e) {
            return Optional.of(failed(written.getFileName().toString(), Phrase.verbatim(Reason.of(e))));
        } catch (ParserConfigurationException e) {
            throw new CannotProceedException(written.toString(), "problem.no-parser", Reason.of(e));
        }
    }

    private static Proof passed() {
        return Proof.passed(ID, List.of());
    }

    private static Proof failed(String where, Phrase words) {
        return Proof.of(ID, false, List.of(new Detail(where, words)));
    }

    private static Proof wellFormed(Path written) throws IOException, SAXException, ParserConfigurationException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(written))) {
            parse(in);
        }
        return passed();
    }

    private static void parse(InputStream in) throws IOException, SAXException, ParserConfigurationException {
        SAXParserFactory factory = SAXParserFactory.newDefaultNSInstance();
        factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
        factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
        factory.setFeature("http://xml.org/sax/features/external-general-entities", false);
        EntityDeclarations refused = new EntityDeclarations();
        SAXParser parser = factory.newSAXParser();
        parser.setProperty("http://xml.org/sax/properties/declaration-handler", refused);
        parser.parse(in, refused);
    }

    /** No file of ours may lean on entities of its own, which the first reader refuses, too. */
    private static final class EntityDeclarations extends DefaultHandler2 {
        @Override
        public void internalEntityDecl(String name, String value) throws SAXException {
            throw new SAXException(Wording.text("proof.second-reader.entity", name));
        }

        @Override
        public void externalEntityDecl(String name, String publicId, String systemId) throws SAXException {
            throw new SAXException(Wording.text("proof.second-reader.entity", name));
        }
    }

    private static Proof wellFormedParts(Path original, Path written)
            throws IOException, SAXException, ParserConfigurationException {
        try (ZipFile before = new ZipFile(original.toFile());
                ZipFile after = new ZipFile(written.toFile())) {
            if (!names(before).equals(names(after))) {
                return failed("", Phrase.of("proof.second-reader.parts"));
            }
            for (ZipEntry entry : Collections.list(after.entries())) {
                if (entry.getName().endsWith(".xml") || entry.getName().endsWith(".rels")) {
                    try (InputStream in = new BufferedInputStream(after.getInputStream(entry))) {
                        parse(in);
                    } catch (SAXException e) {
                        return failed(entry.getName(), Phrase.verbatim(Reason.of(e)));
                    }
                }
            }
        }
        return passed();
    }

    private static List<String> names(ZipFile zip) {
        return Collections.list(zip.entries()).stream().map(ZipEntry::getName).toList();
    }

    private static Proof sameElements(Path original, Path written) throws IOException {
        boolean same = elements(original).equals(elements(written));
        return same ? passed() : failed("", Phrase.of("proof.second-reader.elements"));
    }

    private static List<String> elements(Path page) throws IOException {
        try (InputStream in = Files.newInputStream(page)) {
            Document parsed = Jsoup.parse(in, null, "");
            return parsed.getAllElements().stream().map(Element::normalName).toList();
        }
    }

    /** The parser of SQLite (RFC 8259). */
    private static Proof validJson(String json) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite::memory:");
                PreparedStatement statement = connection.prepareStatement("select json_valid(?)")) {
            statement.setString(1, json.startsWith("\uFEFF") ? json.substring(1) : json);
            try (ResultSet row = statement.executeQuery()) {
                return row.next() && row.getInt(1) == 1 ? passed() : failed("", Phrase.of("proof.second-reader.json"));
            }
        }
    }

    private static Proof sameKeys(Path original, Path written, Charset charset) throws IOException {
        boolean same = keys(original, charset).equals(keys(written, charset));
        return same ? passed() : failed("", Phrase.of("proof.second-reader.keys"));
    }

    private static java.util.Set<String> keys(Path file, Charset charset) throws IOException {
        Properties properties = new Properties();
        try (Reader reader = Files.newBufferedReader(file, charset)) {
            properties.load(reader);
        }
        return properties.stringPropertyNames();
    }

    private static Proof sameRows(Path original, Path written, Charset charset) throws IOException {
        char delimiter = ',';
        int widest = 0;
        for (char each : DELIMITERS) {
            int cells = widths(original, charset, each).stream()
                    .mapToInt(Integer::intValue)
                    .sum();
            if (cells > widest) {
                widest = cells;
                delimiter = each;
            }
        }
        boolean same = widths(original, charset, delimiter).equals(widths(written, charset, delimiter));
        return same ? passed() : failed("", Phrase.of("proof.second-reader.rows"));
    }

    /** Cells of each row; none where the file is no table with this delimiter. */
    private static List<Integer> widths(Path file, Charset charset, char delimiter) throws IOException {
        CSVFormat format = CSVFormat.RFC4180.builder().setDelimiter(delimiter).get();
        try (CSVParser rows = CSVParser.parse(file, charset, format)) {
            return rows.stream().map(row -> row.size()).toList();
        } catch (UncheckedIOException e) {
            return List.of();
        }
    }
}
