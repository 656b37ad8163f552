package org.swaplane.terms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;

class TermListTest {
    private static final Term FERRY = new Term("ferry", List.of("Fähre"), List.of("Boot"));
    private static final Term PIER = new Term("pier", List.of("Anleger", "Steg"), List.of());

    private static List<Term> terms(String name, byte[] file) throws IOException {
        return TermListReader.read(Source.of(name, file)).between("en-GB", "de-DE");
    }

    @ParameterizedTest
    @CsvSource({
        "terms.xml, <martif>, true",
        "terms.csv, 'en,de,forbidden', true",
        "terms.tsv, 'en\tde\tdefinition', true",
        "fares.csv, 'en,de,note', false",
        "fares.csv, 'id,name,definition', false",
        "page.html, <html>, false"
    })
    void aListSaysItselfThatItIsOne(String name, String text, boolean expected) throws IOException {
        byte[] file = text.translateEscapes().getBytes(StandardCharsets.UTF_8);

        assertThat(TermListReader.recognises(Source.of(name, file))).isEqualTo(expected);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "en,de,forbidden\nferry,Fähre,Boot\npier,Anleger|Steg,\n",
                "id;note;de;en;Do not use\n1;;Fähre;ferry;Boot\n2;;Anleger;pier;\n3;;Steg;pier;\n",
                "source\ttarget\tstatus\nferry\tFähre\tpreferred\nferry\tBoot\tforbidden\npier\tAnleger; Steg\t\n",
                "<martif><text><body><termEntry><langSet xml:lang='en'><tig><term>ferry</term></tig></langSet>"
                        + "<langSet xml:lang='de'><tig><term>Fähre</term></tig><ntig><termGrp><term>Boot</term>"
                        + "<termNote type='administrativeStatus'>deprecatedTerm-admn-sts</termNote></termGrp></ntig></langSet></termEntry>"
                        + "<termEntry><langSet xml:lang='en-GB'><tig><term>pier</term></tig></langSet><langSet xml:lang='de-DE'>"
                        + "<tig><term>Anleger</term></tig><tig><term>Steg</term></tig></langSet><langSet xml:lang='fr'><tig>"
                        + "<term>quai</term></tig></langSet></termEntry></body></text></martif>",
                "<tbx><text><body><conceptEntry><langSec xml:lang='en'><termSec><term>ferry</term></termSec></langSec>"
                        + "<langSec xml:lang='de'><termSec><term>Fähre</term></termSec><termSec><term>Boot</term><termNote"
                        + " type='administrativeStatus'>deprecatedTerm-admn-sts</termNote></termSec></langSec></conceptEntry>"
                        + "<conceptEntry><langSec xml:lang='en'><termSec><term>pier</term></termSec></langSec><langSec xml:lang='de'>"
                        + "<termSec><term>Anleger</term></termSec><termSec><term>Steg</term></termSec></langSec></conceptEntry></body></text></tbx>"
            })
    void whateverTheListIsWrittenInTheTermsAreTheSame(String text) throws IOException {
        assertThat(terms("terms", text.getBytes(StandardCharsets.UTF_8))).containsExactly(FERRY, PIER);
    }

    @Test
    void aWorkbookAndAnotherEncodingAreReadAsTheyAre() throws IOException {
        ByteArrayOutputStream book = new ByteArrayOutputStream();
        try (XSSFWorkbook workbook = new XSSFWorkbook()) {
            var sheet = workbook.createSheet();
            String[][] rows = {{"en", "de", "forbidden"}, {"ferry", "Fähre", "Boot"}, {"pier", "Anleger|Steg"}};
            for (int i = 0; i < rows.length; i++) {
                var row = sheet.createRow(i);
                for (int j = 0; j < rows[i].length; j++) {
                    row.createCell(j).setCellValue(rows[i][j]);
                }
            }
            workbook.write(book);
        }

        assertThat(terms("terms.xlsx", book.toByteArray())).containsExactly(FERRY, PIER);
        assertThat(terms("t.csv", "en,de\nferry,Fähre\n".getBytes(Charset.forName("windows-1252"))))
                .containsExactly(new Term("ferry", List.of("Fähre"), List.of()));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "en,de,Definition\npier,Anleger,Where boats land.\n",
                "Source term;Target term;Note\npier;Anleger;Where boats land.\n",
                "<martif><text><body><termEntry><descripGrp><descrip type='definition'>Where boats\n land.</descrip></descripGrp>"
                        + "<langSet xml:lang='en'><tig><term>pier</term></tig></langSet>"
                        + "<langSet xml:lang='de'><tig><term>Anleger</term></tig></langSet></termEntry></body></text></martif>",
                "<tbx><text><body><conceptEntry><note>Where boats land.</note>"
                        + "<langSec xml:lang='en'><termSec><term>pier</term></termSec></langSec>"
                        + "<langSec xml:lang='de'><termSec><term>Anleger</term></termSec></langSec></conceptEntry></body></text></tbx>"
            })
    void whatATermMeansIsReadAsWell(String text) throws IOException {
        assertThat(terms("terms", text.getBytes(StandardCharsets.UTF_8)))
                .containsExactly(new Term("pier", List.of("Anleger"), List.of(), "Where boats land."));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "one word", "<martif><text>", "<martif/>", "PK\u0003\u0004 broken"})
    void whatIsNoTermListIsRefused(String text) {
        assertThatThrownBy(() -> terms("terms", text.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(CannotProceedException.class);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
            en | ferry       | Two ferries leave           | ferries
            en | ferry pier  | At the Ferry Piers today    | Ferry Piers
            en | dog         | All dogs travel free        | dogs
            en | new         | News of the day             | -
            en | deck        | On the decks                | decks
            en | deck        | The deckhand is new         | -
            en | cabin       | A cabinet stands there      | -
            en | fare        | A farm                      | -
            en | pier 3      | Pier 4 is closed            | -
            de | Hafen       | In den Häfen                | Häfen
            de | Fahrt       | Vor der Abfahrt             | -
            de | Boot        | Zwei Boote legen ab         | Boote
            fr | bateau      | Deux bateaux                | bateaux
            es | muelle      | Los muelles                 | muelles
            ru | паром       | На пароме                   | пароме
            cs | přístav     | V přístavech                | přístavech
            fi | lautta      | Lautat lähtevät             | Lautat
            pl | prom        | Dwa promy                   | promy
            ja | 桟橋          | 第3桟橋へ                      | 桟橋
            """)
    void aTermIsFoundWithOtherEndings(String language, String term, String text, String found) {
        List<TermIndex.Found> all = new TermIndex(List.of(new Term(term, List.of(), List.of())), language).find(text);

        assertThat(all)
                .extracting(each -> text.substring(each.start(), each.end()))
                .isEqualTo(found == null ? List.of() : List.of(found));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            de | Fähre        | Die Fähren fahren ab       | true
            de | Fähre        | Am Fährhafen               | true
            de | Fähre        | Das Boot fährt ab          | false
            de | Anleger      | Am Fähranleger 3           | true
            de | obere Deck   | Auf dem oberen Deck        | true
            de | obere Deck   | Auf dem unteren Deck       | false
            de | einchecken   | Checken Sie jetzt ein      | true
            de | einchecken   | Checken Sie jetzt aus      | false
            de | ankommen     | Kommt das Schiff an?       | true
            fr | traversée    | Les traversées             | true
            sv | färja        | Färjorna går nu            | true
            nl | veerboot     | De veerboten               | true
            hu | komp         | A kompok                   | true
            ru | паром        | Паромная пристань          | true
            pl | przystań     | Na przystani               | true
            en | ferry        | The ferries                | true
            en | ferry        | Ferrous metal              | false
            zh | 渡轮          | 乘坐渡轮                    | true
            """)
    void aWordingIsFoundInFormsAndCompounds(String language, String wording, String text, boolean found) {
        assertThat(TermIndex.isIn(wording, text, language)).isEqualTo(found);
    }
}
