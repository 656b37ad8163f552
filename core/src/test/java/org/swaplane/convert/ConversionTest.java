package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.format.table.DelimitedText;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class ConversionTest {
    private static final String XLIFF = """
            <xliff version="1.2" xmlns="urn:oasis:names:tc:xliff:document:1.2">
            <file original="a.html" source-language="en-GB" target-language="de-DE" datatype="html"><body>
            <trans-unit id="one"><source>See <g id="1">the &lt;quay&gt;</g><x id="2"/></source><target>Sieh <x id="2"/><g id="1">den Kai</g></target></trans-unit>
            <trans-unit id="two"><source>Crossed <bx id="3"/>a<bx id="4"/>b<ex id="3"/>c<ex id="4"/></source><target>Quer <bx id="3"/>a<bx id="4"/>b<ex id="3"/>c<ex id="4"/></target></trans-unit>
            <trans-unit id="three"><source>Says "no", twice; ⟦</source><target state="signed-off">Sagt „nein“, zweimal; ⟦</target></trans-unit>
            </body></file></xliff>
            """;

    @TempDir
    private Path folder;

    private Path xliff;

    @BeforeEach
    void save() throws IOException {
        xliff = Files.writeString(folder.resolve("in.xlf"), XLIFF);
    }

    private Path convert(Path in, String name, String source, String target) throws IOException {
        Path out = folder.resolve(name);
        NewFile.Writer writer = new Conversion(
                        FormatRegistry.ofInstalled(), FileOptions.ofLanguages(source, target), Optional.empty())
                .writer(in, out, Progress.NONE);
        NewFile.write(out, false, writer);
        return out;
    }

    private Path convert(Path in, String name) throws IOException {
        return convert(in, name, "", "");
    }

    private static BilingualDocument read(Path file) throws IOException {
        return file.toString().endsWith("v")
                ? DelimitedText.read(Source.of(file), "", "")
                : FormatRegistry.ofInstalled()
                        .open(Source.of(file), Progress.NONE)
                        .document();
    }

    private static String written(Segment segment) {
        return TagNotation.write(segment.source(), segment.source()) + " = "
                + TagNotation.write(segment.target(), segment.source());
    }

    @ParameterizedTest
    @ValueSource(strings = {"out.tmx", "out.xlf", "out.csv", "out.tsv"})
    void everyPairComesOutWithItsTagsAndLanguages(String name) throws IOException {
        Path tmx = convert(xliff, "between.tmx");

        BilingualDocument out = read(convert(tmx, name));

        assertThat(out.sourceLanguage()).isEqualTo("en-GB");
        assertThat(out.targetLanguage()).isEqualTo("de-DE");
        assertThat(out.segments())
                .extracting(ConversionTest::written)
                .containsExactly(
                        "See ⟦1⟧the <quay>⟦/1⟧⟦2/⟧ = Sieh ⟦2/⟧⟦1⟧den Kai⟦/1⟧",
                        "Crossed ⟦1⟧a⟦2⟧b⟦/1⟧c⟦/2⟧ = Quer ⟦1⟧a⟦2⟧b⟦/1⟧c⟦/2⟧",
                        "Says \"no\", twice; ⟦⟦ = Sagt „nein“, zweimal; ⟦⟦");
    }

    @Test
    void theOlderXliffHasThePairsWithTheirTagsAndStates() throws IOException {
        Path out = folder.resolve("older.xlf");
        Conversion older = new Conversion(
                FormatRegistry.ofInstalled(),
                FileOptions.ofLanguages("", ""),
                Optional.of(Conversion.XliffVersion.V1_2));

        NewFile.write(out, true, older.writer(convert(xliff, "between.tmx"), out, Progress.NONE));

        BilingualDocument document = read(out);
        assertThat(document.format()).isEqualTo("xliff-1.2");
        assertThat(document.problems()).isEmpty();
        assertThat(document.segments()).extracting(Segment::state).containsOnly(State.TRANSLATED);
        assertThat(document.segments())
                .extracting(ConversionTest::written)
                .contains("Crossed ⟦1⟧a⟦2⟧b⟦/1⟧c⟦/2⟧ = Quer ⟦1⟧a⟦2⟧b⟦/1⟧c⟦/2⟧");
    }

    @Test
    void aTableBecomesAMemoryAndXliff() throws IOException {
        Path table = Files.writeString(
                folder.resolve("pairs.csv"), "source;target\n\"Pier; north\";Nordsteg\nlonely\nDeck;\n");

        Path memory = convert(table, "pairs.tmx", "en", "de");
        Path bilingual = convert(table, "pairs.xlf", "en", "de");

        assertThat(read(memory).segments())
                .extracting(ConversionTest::written)
                .containsExactly("Pier; north = Nordsteg");
        assertThat(read(bilingual).segments())
                .extracting(ConversionTest::written)
                .containsExactly("Pier; north = Nordsteg", "Deck = ");
        assertThat(read(bilingual).targetLanguage()).isEqualTo("de");
    }

    @Test
    void aTableWithoutPairsIsADocument() throws IOException {
        Path table = Files.writeString(folder.resolve("fares.csv"), "id;Description;Price\nA1;Day ticket;4.20\n");

        BilingualDocument out = read(convert(table, "fares.xlf", "en", "de"));

        assertThat(out.segments()).extracting(each -> each.source().plainText()).containsExactly("A1", "Day ticket");
    }

    @Test
    void theSameFormatIsTheSameBytes() throws IOException {
        assertThat(convert(xliff, "again.xlf")).hasSameBinaryContentAs(xliff);
    }

    @Test
    void oneOfSeveralLanguagesIsChosen() throws IOException {
        Path memory = Files.writeString(
                folder.resolve("many.tmx"),
                "<tmx version='1.4'><header srclang='en'/><body><tu><tuv xml:lang='en'><seg>Pier</seg></tuv>"
                        + "<tuv xml:lang='de'><seg>Steg</seg></tuv><tuv xml:lang='fr-FR'><seg>Quai</seg></tuv></tu></body></tmx>");

        assertThatThrownBy(() -> convert(memory, "many.xlf"))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("en to de, en to fr-FR");
        assertThat(read(convert(memory, "fr.xlf", "", "fr")).segments())
                .extracting(ConversionTest::written)
                .containsExactly("Pier = Quai");
        assertThatThrownBy(() -> convert(memory, "nl.xlf", "", "nl"))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("nothing from");
    }

    @Test
    void aBrokenTableIsRefusedAndLeavesNothing() throws IOException {
        Path table = Files.writeString(folder.resolve("broken.csv"), "source,target\n\"open,x\n");

        assertThatThrownBy(() -> convert(table, "out.tmx"))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("broken.csv");
        assertThat(folder.resolve("out.tmx")).doesNotExist();
    }

    private Path inVersion(Path in, String name, Conversion.XliffVersion version) throws IOException {
        Path out = folder.resolve(name);
        NewFile.Writer writer = new Conversion(FormatRegistry.ofInstalled(), FileOptions.NONE, Optional.of(version))
                .writer(in, out, Progress.NONE);
        NewFile.write(out, false, writer);
        return out;
    }

    @Test
    void eachVersionOfXliffIsMadeOfTheOtherAndItselfStaysAsItIs() throws IOException {
        Path two = inVersion(xliff, "two.xlf", Conversion.XliffVersion.V2_1);
        Path one = inVersion(two, "one.xlf", Conversion.XliffVersion.V1_2);

        assertThat(read(two).format()).startsWith("xliff-2");
        assertThat(read(one).segments())
                .extracting(segment -> segment.target().plainText())
                .isEqualTo(read(xliff).segments().stream()
                        .map(segment -> segment.target().plainText())
                        .toList());
        assertThat(inVersion(xliff, "same.xlf", Conversion.XliffVersion.V1_2)).hasSameBinaryContentAs(xliff);
    }

    @Test
    void unitsThatRepeatAnIdAndTextsInTagsStayApartAndHalfTranslatedUnitsKeepTheirHalf() throws IOException {
        Path odd = Files.writeString(folder.resolve("odd.xlf"), """
                <xliff version="1.2" xmlns="urn:oasis:names:tc:xliff:document:1.2">
                <file original="a" source-language="en" target-language="de" datatype="x"><body>
                <trans-unit id="1"><source>First</source><target>Erste</target></trans-unit>
                <trans-unit id="1"><source>Second</source><target>Zweite</target></trans-unit>
                <trans-unit id="2"><source>See <ph id="1">&lt;a title="<sub>the pier</sub>"></ph> it</source><target>Sieh <ph id="1">&lt;a title="<sub>den Kai</sub>"></ph> es</target></trans-unit>
                <trans-unit id="3"><source>One. Two.</source><seg-source><mrk mtype="seg" mid="1">One.</mrk> <mrk mtype="seg" mid="2">Two.</mrk></seg-source><target><mrk mtype="seg" mid="1">Eins.</mrk></target></trans-unit>
                </body></file></xliff>
                """);

        List<String> texts = read(odd).segments().stream()
                .map(segment ->
                        segment.source().plainText() + " = " + segment.target().plainText())
                .toList();
        for (Conversion.XliffVersion version : Conversion.XliffVersion.values()) {
            Path there = inVersion(odd, "there-" + version + ".xlf", Conversion.XliffVersion.V2_1);
            Path again = inVersion(there, "again-" + version + ".xlf", version);
            assertThat(read(again).segments())
                    .extracting(segment -> segment.source().plainText() + " = "
                            + segment.target().plainText())
                    .containsExactlyElementsOf(texts);
        }
    }

    /** What a pair stands for is in the unit's original data, not in the element that refers to it. */
    @Test
    void theCodesOfAPairAreItsOriginalDataInXliff12() throws IOException {
        Path in = Files.writeString(folder.resolve("pc.xlf"), """
                <xliff version="2.1" xmlns="urn:oasis:names:tc:xliff:document:2.0" srcLang="en" trgLang="de"><file id="f"><unit id="u1">
                <originalData><data id="d1">&lt;b&gt;</data><data id="d2">&lt;/b&gt;</data></originalData>
                <segment><source>A <pc id="1" dataRefStart="d1" dataRefEnd="d2">bold</pc> word</source></segment></unit></file></xliff>
                """);
        Path out = folder.resolve("old.xlf");
        Conversion conversion = new Conversion(
                FormatRegistry.ofInstalled(), FileOptions.NONE, Optional.of(Conversion.XliffVersion.V1_2));
        NewFile.write(out, false, conversion.writer(in, out, Progress.NONE));

        assertThat(out).content().contains(">&lt;b></bpt>bold<ept", ">&lt;/b></ept>");
    }
}
