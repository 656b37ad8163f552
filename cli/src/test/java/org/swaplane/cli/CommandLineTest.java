package org.swaplane.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TimeZone;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.swaplane.demo.DemoLane;
import org.swaplane.demo.DemoReviewer;

class CommandLineTest extends CommandTest {
    private Path demo;

    @BeforeEach
    void writeDemo() throws IOException {
        demo = Files.write(folder.resolve("info.xlf"), DemoLane.file());
    }

    @Test
    void inspectSaysWhatAFileIs() throws IOException {
        assertThat(run("inspect", "--json", demo)).isZero();

        JsonNode file = json().get("files").get(0);
        assertThat(file.fieldNames())
                .toIterable()
                .containsExactly(
                        "path",
                        "format",
                        "encoding",
                        "sourceLanguage",
                        "targetLanguage",
                        "units",
                        "segments",
                        "words",
                        "characters",
                        "tags",
                        "locked",
                        "states",
                        "prefilled",
                        "problems");
        assertThat(file.get("segments").asInt()).isEqualTo(59);
        assertThat(file.get("locked").asInt()).isEqualTo(3);
        assertThat(file.get("states").get("initial").asInt()).isEqualTo(5);
    }

    @Test
    void checkFindsThePlantedMistakesAndNothingElse() throws IOException {
        assertThat(run("check", "--json", demo)).isEqualTo(1);

        assertThat(json().get("files").get(0).get("findings"))
                .extracting(finding -> finding.get("unit").asText() + " "
                        + finding.get("check").asText())
                .containsExactly(
                        "tt.afternoon numbers",
                        "tt.checkin tags",
                        "tt.winter empty-target",
                        "fa.bike numbers",
                        "fa.bike same-as-source",
                        "fa.dog same-as-source",
                        "ve.limit numbers",
                        "ve.trailer empty-target",
                        "ob.lounge same-as-source",
                        "co.mail same-as-source");
    }

    @Test
    void aFindingHoldsOffsetsAndTheWholeCorrectedTarget() throws IOException {
        run("check", "--json", demo);

        JsonNode finding = json().get("files").get(0).get("findings").get(0);
        assertThat(finding.get("source").toString()).isEqualTo("[[34,39]]");
        assertThat(finding.get("target").toString()).isEqualTo("[[36,41]]");
        assertThat(finding.get("severity").asText()).isEqualTo("error");
        assertThat(finding.get("suggestion").asText())
                .isEqualTo("Die Nachmittagsüberfahrt startet um 14:05 Uhr an Pier 3.");
    }

    private Path xliff(String name, String language, String... sourcesAndTargets) throws IOException {
        StringBuilder units = new StringBuilder();
        for (int i = 0; i < sourcesAndTargets.length; i += 2) {
            units.append("<trans-unit id='u")
                    .append(i / 2)
                    .append("'><source>")
                    .append(sourcesAndTargets[i])
                    .append("</source><target>")
                    .append(sourcesAndTargets[i + 1])
                    .append("</target></trans-unit>");
        }
        return Files.writeString(
                folder.resolve(name),
                "<xliff version='1.2' xmlns='urn:oasis:names:tc:xliff:document:1.2'><file original='x' source-language='en'"
                        + " target-language='" + language + "' datatype='plaintext'><body>" + units
                        + "</body></file></xliff>");
    }

    @Test
    void whatIsInconsistentAcrossFilesOfALanguagePairStandsInEachOfThem() throws IOException {
        Path one = xliff("one.xlf", "de", "Upper deck", "Oberdeck", "Pier", "Anleger");
        Path two = xliff("two.xlf", "de", "Upper deck", "Deck oben");
        Path french = xliff("three.xlf", "fr", "Upper deck", "Pont sup");

        assertThat(run("check", "--json", one, two, french)).isEqualTo(1);
        List<JsonNode> files = new ArrayList<>();
        json().get("files").forEach(files::add);
        assertThat(files.get(0).get("findings")).hasSize(1);
        JsonNode finding = files.get(1).get("findings").get(0);
        assertThat(finding.get("check").asText()).isEqualTo("inconsistent-target");
        assertThat(finding.get("in").get(0).get("path").asText()).isEqualTo(one.toString());
        assertThat(finding.get("in").get(0).get("segment").asText()).isEqualTo("x/u0");
        assertThat(files.get(0)
                        .get("findings")
                        .get(0)
                        .get("in")
                        .get(0)
                        .get("path")
                        .asText())
                .isEqualTo(two.toString());
        assertThat(files.get(2).get("findings")).isEmpty();

        assertThat(run("check", "--json", "--each", one, two, french)).isZero();
    }

    @Test
    void aFileWithoutPairsIsNeverSaidToBeInOrder() throws IOException {
        Path empty = xliff("empty.xlf", "de");
        Path sound = xliff("sound.xlf", "de", "Pier", "Anleger");
        Path copy = folder.resolve("copy.docx");
        run("convert", demo, "-o", copy);

        assertThat(run("check", "--json", empty, sound)).isEqualTo(2);
        assertThat(json().get("files").get(0).get("error").asText()).contains("empty.xlf");
        assertThat(json().get("files").get(1).get("findings")).isEmpty();
        for (String ending : List.of("docx", "html")) {
            Path written = folder.resolve("a-copy." + ending);
            run("convert", demo, "-o", written);
            assertThat(run("check", written)).as(ending).isEqualTo(2);
        }
    }

    @Test
    void anEmptyTargetIsOpenWhateverTheFileSaysOfIt() throws IOException {
        Path file = xliff("said.xlf", "de", "Upper deck", "", "1", "");
        Files.writeString(
                file,
                Files.readString(file)
                        .replace("<trans-unit ", "<trans-unit approved='yes' ")
                        .replace("<target>", "<target state='final'>"));

        run("inspect", "--json", file);

        JsonNode states = json().get("files").get(0).get("states");
        assertThat(states.get("initial").asInt()).isEqualTo(2);
        assertThat(states.get("final").asInt()).isZero();
    }

    @Test
    void aProfileSaysWhatIsCheckedAndAReportIsWritten() throws IOException {
        Files.writeString(folder.resolve("terms.csv"), "en,de\npier,Anleger\n");
        Path profile =
                Files.writeString(folder.resolve("p.json"), "{\"off\": [\"numbers\"], \"terms\": [\"terms.csv\"]}");
        Path table = Files.writeString(folder.resolve("t.csv"), "en,de\nAt pier 3.,Am Kai 4.\n");
        Path report = folder.resolve("r.xlsx");

        assertThat(run("check", "--profile", profile, "--report", report, table))
                .isEqualTo(1);
        assertThat(printed()).contains("[term]").doesNotContain("[numbers]");
        assertThat(run("check", report))
                .as("a workbook whose columns are named is a table")
                .isEqualTo(1);
        assertThat(run("check", "--profile", profile, "--report", report, table))
                .isEqualTo(2);
    }

    @Test
    void aWorkbookWithTwoLanguagesIsCheckedTranslatedAndCopiedLikeAnyBilingualFile() throws IOException {
        Path table = Files.writeString(folder.resolve("t.csv"), "en,de\nAt pier 3.,Am Kai 4.\n");
        Path book = folder.resolve("t.xlsx");
        assertThat(run("check", "--report", book, table)).isEqualTo(1); // a report names source and target

        assertThat(run("check", "--json", book)).isEqualTo(1);
        JsonNode file = json().get("files").get(0);
        assertThat(file.get("format").asText()).isEqualTo("xlsx");
        assertThat(file.get("findings").get(0).get("check").asText()).isEqualTo("numbers");

        assertThat(run("convert", book, "-o", folder.resolve("copy.xlsx"))).isZero();
        assertThat(folder.resolve("copy.xlsx")).hasSameBinaryContentAs(book);
        assertThat(run("pseudo", book, "--target", "de", "-o", folder.resolve("pseudo.xlsx")))
                .isZero();
        assertThat(run("inspect", folder.resolve("pseudo.xlsx"))).isZero();
        assertThat(printed()).contains("translated=1");
    }

    @Test
    void aFileThatCannotBeReadDoesNotKeepTheOthersFromBeingChecked() throws IOException {
        Path broken = Files.writeString(folder.resolve("broken.xlf"), "<xliff version='1.2'><file>");

        assertThat(run("check", "--json", broken, demo)).isEqualTo(2);

        assertThat(json().get("files").get(0).get("error").asText()).contains("broken.xlf:1:");
        assertThat(json().get("files").get(0).has("findings")).isFalse();
        assertThat(json().get("files").get(1).get("findings")).hasSize(10);
    }

    @Test
    void pseudoWritesAFileThatChecksFindNoLostTagIn() throws IOException {
        Path pseudo = folder.resolve("pseudo.xlf");

        assertThat(run("pseudo", demo, "-o", pseudo)).isZero();

        run("check", "--json", pseudo);
        assertThat(json().get("files").get(0).get("findings")).noneMatch(finding -> "tags placeholders empty-target"
                .contains(finding.get("check").asText()));
    }

    @Test
    void convertIntoTheSameFormatWritesTheSameBytes() {
        Path copy = folder.resolve("copy.xlf");

        assertThat(run("convert", demo, "-o", copy)).isZero();

        assertThat(copy).hasSameBinaryContentAs(demo);
    }

    @Test
    void aReviewCopyGoesOutAndComesBack() throws IOException {
        Path copy = folder.resolve("review.docx");
        Path answered = folder.resolve("answered.docx");
        Path result = folder.resolve("result.xlf");
        run("convert", demo, "-o", copy);
        DemoReviewer.answer(copy, answered, Instant.EPOCH);

        assertThat(run("back", demo, answered, "-o", result, "--json")).isEqualTo(1);

        assertThat(json().get("applied").asInt()).isEqualTo(7);
        assertThat(json().get("problems")).hasSize(3);
        assertThat(result).content().contains("startet um 14:05 Uhr", "state=\"signed-off\"", "bis zu 1.500 kg");
        // The file that was changed since is still the one that the copy was made from.
        assertThat(run("back", result, answered, "-o", folder.resolve("again.xlf"), "--json"))
                .isEqualTo(1);
        assertThat(json().get("applied").asInt()).isZero();
    }

    @Test
    void aPartOfSeveralFilesGoesOutAsOneCopyAndComesBackToEach() throws IOException {
        Path second = Files.writeString(
                folder.resolve("second.xlf"), Files.readString(demo).replace("trans-unit id=\"", "trans-unit id=\"s."));
        Path copy = folder.resolve("both.tsv");
        Path out = folder.resolve("out");

        assertThat(run(
                        "convert",
                        demo,
                        second,
                        "-o",
                        copy,
                        "--select",
                        "rows:1-3",
                        "--to",
                        "Ines Falk",
                        "--due",
                        "2026-12-04"))
                .isZero();
        Files.writeString(copy, Files.readString(copy).replace("\tFahrplan\t", "\tDer Fahrplan\t"));
        assertThat(run("back", demo, second, copy, "--out-dir", out, "--json")).isZero();

        assertThat(json().get("applied").asInt()).isEqualTo(2);
        assertThat(json().get("files")).hasSize(2);
        assertThat(out.resolve(demo.getFileName())).content().contains(">Der Fahrplan<");
        assertThat(out.resolve("second.xlf")).content().contains(">Der Fahrplan<");
        assertThat(run("convert", demo, "-o", folder.resolve("x.docx"), "--select", "rows:x"))
                .isEqualTo(2);
        assertThat(run("convert", demo, second, "-o", folder.resolve("x.tmx"))).isEqualTo(2);
    }

    @Test
    void emptiedTargetsAreAcceptedOnlyWhenAsked() throws IOException {
        Path copy = folder.resolve("copy.tsv");
        run("convert", demo, "-o", copy);
        Files.writeString(copy, Files.readString(copy).replace("\tFahrplan\t", "\t\t"));

        assertThat(run("back", demo, copy, "-o", folder.resolve("a.xlf"), "--json"))
                .isEqualTo(1);
        assertThat(json().get("applied").asInt()).isZero();
        run("back", demo, copy, "-o", folder.resolve("b.xlf"), "--json", "--accept-empty");
        assertThat(json().get("applied").asInt()).isEqualTo(1);
    }

    @Test
    void aFileOfAnotherLanguageIsRefused() throws IOException {
        Path french = Files.writeString(
                folder.resolve("french.xlf"),
                Files.readString(demo).replace("target-language=\"de-DE\"", "target-language=\"fr-FR\""));

        assertThat(run("back", demo, french, "-o", folder.resolve("x.xlf"))).isEqualTo(2);
        assertThat(complaint()).contains("fr-FR", "de-DE");
    }

    @Test
    void aBilingualFileFromAnotherToolComesBackToo() throws IOException {
        Path returned = Files.writeString(
                folder.resolve("other.xlf"), Files.readString(demo).replace(">Fahrplan<", ">Der Fahrplan<"));

        assertThat(run("back", demo, returned, "-o", folder.resolve("merged.xlf"), "--json"))
                .isZero();

        assertThat(json().get("applied").asInt()).isPositive();
        assertThat(folder.resolve("merged.xlf")).content().contains(">Der Fahrplan<");
        Path stranger = Files.writeString(
                folder.resolve("stranger.xlf"),
                Files.readString(demo)
                        .replaceAll("trans-unit id=\"", "trans-unit id=\"x")
                        .replaceAll("<source>", "<source>Other: "));
        assertThat(run("back", demo, stranger, "-o", folder.resolve("no.xlf"))).isEqualTo(2);
    }

    @Test
    void convertMakesAMemoryOfABilingualFile() throws IOException {
        Path memory = folder.resolve("info.tmx");

        assertThat(run("convert", demo, "-o", memory)).isZero();
        assertThat(run("inspect", "--json", memory)).isZero();

        assertThat(json().get("files").get(0).get("format").asText()).isEqualTo("tmx");
        assertThat(json().get("files").get(0).get("targetLanguage").asText()).isEqualTo("de-DE");
    }

    @Test
    void aDocumentGoesThroughXliffAndComesOutInTheTargetLanguage() throws IOException {
        Path page = Files.writeString(folder.resolve("page.html"), "<html lang='en'><p>Stay. Go!</p></html>");
        Path xliff = folder.resolve("page.html.xlf");
        assertThat(run("convert", page, "-o", xliff, "--source", "en", "--target", "de"))
                .isZero();
        Files.writeString(
                xliff,
                Files.readString(xliff).replace("<source>Go!</source>", "<source>Go!</source><target>Los!</target>"));

        assertThat(run("merge", page, xliff, "-o", folder.resolve("page_de.html")))
                .isZero();

        assertThat(folder.resolve("page_de.html")).hasContent("<html lang='de'><p>Stay. Los!</p></html>");
        Path other = Files.writeString(folder.resolve("other.html"), "<p>Else.</p>");
        assertThat(run("merge", other, xliff, "-o", folder.resolve("no.html"))).isEqualTo(1);
        assertThat(printed()).contains("p 1");
    }

    @Test
    void documentsAreReadAsAFileOfOptionsAndRulesSay() throws IOException {
        Path page = Files.writeString(folder.resolve("page.xml"), "<p><a>Pier 3 is closed</a><b>keep</b></p>");
        Path rules = Files.writeString(
                folder.resolve("rules.its"),
                "<its:rules xmlns:its='http://www.w3.org/2005/11/its' version='2.0'><its:translateRule selector='//b' translate='no'/></its:rules>");
        Path reading = Files.writeString(
                folder.resolve("reading.json"),
                "{\"placeholders\":{\"off\":[],\"own\":[{\"name\":\"pier\",\"pattern\":\"Pier \\\\d\"}]}}");
        Path xliff = folder.resolve("page.xml.xlf");
        Path again = folder.resolve("again.xml");

        int made = run(
                "convert",
                page,
                "-o",
                xliff,
                "--source",
                "en",
                "--target",
                "de",
                "--its-rules",
                rules,
                "--reading",
                reading);

        assertThat(made).isZero();
        assertThat(Files.readString(xliff)).contains("Pier 3</data>").doesNotContain("keep");
        assertThat(run("merge", page, xliff, "-o", again, "--its-rules", rules, "--reading", reading))
                .isZero();
        assertThat(again).hasSameBinaryContentAs(page);
        Files.writeString(reading, "{\"placeholder\":1}");
        assertThat(run("convert", page, "-o", again, "--force", "--reading", reading))
                .isEqualTo(2);
        assertThat(complaint()).contains("reading.json").contains("placeholder").hasLineCount(1);
    }

    @Test
    void twoVersionsAreComparedAndTheTranslationsCarriedOver() throws IOException {
        Path next = folder.resolve("next.xlf");
        Files.writeString(
                next, Files.readString(demo).replace("departs at 14:05", "departs at 14:35"), StandardCharsets.UTF_8);

        assertThat(run("compare", demo, demo, "--json")).isZero();
        assertThat(json().get("segments"))
                .allMatch(segment -> segment.get("outcome").asText().equals("unchanged"));
        assertThat(run("compare", demo, next, "--json", "-o", folder.resolve("changes.docx")))
                .isEqualTo(1);
        JsonNode changes = json();
        assertThat(changes.get("counts").get("changed").asInt()).isEqualTo(1);
        assertThat(changes.get("words").get("changed").asInt()).isPositive();
        assertThat(changes.get("segments"))
                .filteredOn(segment -> segment.get("outcome").asText().equals("changed"))
                .singleElement()
                .satisfies(segment -> {
                    assertThat(segment.get("old")).isEqualTo(segment.get("new"));
                    assertThat(segment.get("sourceNow").asText()).contains("14:35");
                    assertThat(segment.get("similarity").asInt()).isBetween(90, 99);
                });
        assertThat(folder.resolve("changes.docx")).exists();

        Path out = folder.resolve("updated.xlf");
        assertThat(run("update", demo, next, "-o", out, "--json")).isZero();
        JsonNode counts = json();
        int all = 0;
        for (JsonNode count : counts) {
            all += count.asInt();
        }
        assertThat(counts.get("proposed").asInt()).isEqualTo(1);
        assertThat(all).isEqualTo(changes.get("segments").size());
        assertThat(Files.readString(out)).contains("<alt-trans match-quality=\"98%\"");
        assertThat(run("compare", demo, next, "-o", folder.resolve("x.pdf"))).isEqualTo(2);
        assertThat(complaint()).contains(".html, .docx, .xlsx, .csv or .json").doesNotContain("\tat ");
    }

    @Test
    void aMemoryIsFilledFromFilesLookedUpAndFillsAnother() throws IOException {
        Path memory = folder.resolve("memory");
        Path open = folder.resolve("open.xlf");
        Files.writeString(
                open,
                "<xliff version=\"1.2\"><file original=\"a\" source-language=\"en-GB\" target-language=\"de-DE\""
                        + " datatype=\"x\"><body><trans-unit id=\"1\"><source>Timetable</source></trans-unit>"
                        + "<trans-unit id=\"2\"><source>Nothing like this is anywhere</source></trans-unit></body></file></xliff>",
                StandardCharsets.UTF_8);

        assertThat(run("memory", "import", memory, demo)).isZero();
        assertThat(run("memory", "info", memory, "--json")).isZero();
        int units = json().get("units").asInt();
        assertThat(units).isPositive();
        assertThat(run("memory", "import", memory, demo)).isZero();
        assertThat(run("memory", "info", memory, "--json")).isZero();
        assertThat(json().get("units").asInt()).isEqualTo(units);

        InputStream before = System.in;
        System.setIn(new ByteArrayInputStream("Timetable\n\n\"Time\\u0074able\"\n".getBytes(StandardCharsets.UTF_8)));
        try {
            assertThat(run("memory", "lookup", memory, "--source", "en-GB", "--target", "de-DE", "--json"))
                    .isZero();
        } finally {
            System.setIn(before);
        }
        List<String> lines = printed().lines().toList();
        assertThat(lines).hasSize(3);
        assertThat(lines.get(0)).contains("\"score\":100", "\"kind\":\"exact\"", "Fahrplan");
        assertThat(lines.get(1)).isEqualTo("{\"text\":\"\",\"matches\":[]}");
        assertThat(lines.get(2)).isEqualTo(lines.get(0));

        assertThat(run("analyze", open, "--memory", memory, "--json")).isZero();
        assertThat(json().at("/total/bands/100/segments").asInt()).isEqualTo(1);
        assertThat(json().at("/total/bands/none/segments").asInt()).isEqualTo(1);
        Path filled = folder.resolve("filled.xlf");
        assertThat(run("fill", open, "-o", filled, "--memory", memory, "--json"))
                .isZero();
        assertThat(json().get("filled").asInt()).isEqualTo(1);
        assertThat(json().at("/skipped/belowMin").asInt()).isEqualTo(1);
        assertThat(Files.readString(filled)).contains("<target>Fahrplan</target>");
        assertThat(run("memory", "info", folder.resolve("none"))).isEqualTo(2);
        assertThat(complaint()).contains("there is no memory").doesNotContain("\tat ");
    }

    @Test
    void aFileThatBreaksOffAddsNothingToAMemory() throws IOException {
        Path memory = folder.resolve("memory");
        assertThat(run("memory", "import", memory, demo)).isZero();
        Path broken = Files.writeString(
                folder.resolve("half.tmx"),
                "<tmx version=\"1.4\"><header srclang=\"en\"/><body><tu><tuv xml:lang=\"en\"><seg>Pier</seg></tuv>"
                        + "<tuv xml:lang=\"de\"><seg>Kai</seg></tuv></tu><tu>");
        run("memory", "info", memory, "--json");
        String before = printed();

        assertThat(run("memory", "import", memory, broken)).isEqualTo(2);
        assertThat(complaint()).contains("half.tmx:1:").doesNotContain("\tat ");

        run("memory", "info", memory, "--json");
        assertThat(printed()).isEqualTo(before);
    }

    @Test
    void twoFinishedDocumentsBecomeAMemory() throws IOException {
        Path source = Files.writeString(folder.resolve("en.json"), "{\"a\":\"Ferry\",\"b\":\"Pier 3\"}");
        Path target = Files.writeString(folder.resolve("de.json"), "{\"b\":\"Anleger 3\",\"a\":\"Fähre\"}");
        Path memory = folder.resolve("aligned.tmx");

        assertThat(run("align", source, target, "--source", "en", "--target", "de", "-o", memory, "--json"))
                .isZero();

        JsonNode pair = json().get("pairs").get(0);
        assertThat(pair.get("source").toString()).isEqualTo("[1]");
        assertThat(pair.get("target").toString()).isEqualTo("[2]");
        assertThat(pair.get("confidence").asDouble()).isEqualTo(1);
        assertThat(Files.readString(memory)).contains("<seg>Fähre</seg>", "<prop type=\"aligned\">yes</prop>");
        assertThat(run("align", source, folder.resolve("none.json"), "--source", "en", "--target", "de", "-o", memory))
                .isEqualTo(2);
    }

    @Test
    void proveSaysOfEachFileWhatHoldsAndWhatIsNotReached() throws IOException {
        Path page = Files.writeString(
                folder.resolve("page.html"), "<p data-tip=\"Book your seat\">Open</p><img src=\"map.png\">");
        Path broken = Files.writeString(folder.resolve("broken.json"), "{");
        Path sound = Files.writeString(folder.resolve("sound.json"), "{\"a\": \"Open\"}");
        Path out = folder.resolve("pseudo");

        assertThat(run("prove", "--json", "--target", "de", "-o", out, page, broken, sound))
                .isEqualTo(2);

        JsonNode files = new ObjectMapper().readTree(printed()).get("files");
        assertThat(files.get(0).get("verdict").asText()).isEqualTo("warn");
        assertThat(files.get(0).get("proofs").findValuesAsText("id")).contains("identity", "survival", "reach");
        assertThat(files.get(0).get("unreached").toString())
                .isEqualTo("[{\"where\":\"p/data-tip\",\"kind\":\"attribute\",\"text\":\"Book your seat\"},"
                        + "{\"where\":\"img\",\"kind\":\"picture\",\"media\":\"map.png\"}]");
        assertThat(Path.of(files.get(0).get("output").asText())).exists().hasParent(out);
        assertThat(files.get(1).get("error").asText()).startsWith("broken.json:1:");
        assertThat(files.get(2).get("verdict").asText()).isEqualTo("pass");
        assertThat(run("prove", "-o", out, sound)).isZero();
        assertThat(run("prove", page)).isEqualTo(1);
        assertThat(printed()).contains("page.html: warn").contains("Book your seat");
    }

    @Test
    void anUntouchedCopyBringsBackTheSameBytes() {
        Path copy = folder.resolve("review.docx");
        Path result = folder.resolve("result.xlf");
        run("convert", demo, "-o", copy);

        assertThat(run("back", demo, copy, "-o", result)).isZero();

        assertThat(result).hasSameBinaryContentAs(demo);
    }

    @Test
    void whatExistsIsNotOverwrittenWithoutForce() throws IOException {
        Path existing = Files.writeString(folder.resolve("there.xlf"), "mine");

        assertThat(run("pseudo", demo, "-o", existing)).isEqualTo(2);
        assertThat(existing).hasContent("mine");
        assertThat(run("pseudo", demo, "-o", existing, "--force")).isZero();
        assertThat(run("pseudo", demo, "-o", demo, "--force")).isEqualTo(2);
        assertThat(demo).hasBinaryContent(DemoLane.file());
    }

    @Test
    void whatCannotRunSaysSoInOneLineWithoutATrace() {
        for (Object[] arguments : new Object[][] {
            {},
            {"frobnicate"},
            {"inspect"},
            {"check", folder.resolve("none.xlf")},
            {"pseudo", demo, "-o", folder.resolve("no/such/x.xlf")}
        }) {
            assertThat(run(arguments)).isEqualTo(2);
            assertThat(complaint().strip())
                    .startsWith("swaplane: ")
                    .doesNotContain("\n")
                    .doesNotContain("Exception");
            assertThat(printed()).isEmpty();
        }
    }

    @Test
    void debugAddsTheTrace() {
        run("--debug", "pseudo", folder.resolve("none.xlf"), "-o", folder.resolve("x.xlf"));

        assertThat(complaint()).contains("NoSuchFileException");
    }

    @Test
    void theMachinesLocaleAndTimeZoneChangeNothing() {
        run("check", "--json", demo);
        String before = printed();
        Locale locale = Locale.getDefault();
        TimeZone zone = TimeZone.getDefault();
        try {
            Locale.setDefault(Locale.forLanguageTag("tr-TR"));
            TimeZone.setDefault(TimeZone.getTimeZone("Asia/Kolkata"));

            run("check", "--json", demo);

            assertThat(printed()).isEqualTo(before);
        } finally {
            Locale.setDefault(locale);
            TimeZone.setDefault(zone);
        }
    }
}
