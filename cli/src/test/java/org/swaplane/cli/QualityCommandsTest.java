package org.swaplane.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.demo.DemoLane;
import org.swaplane.demo.DemoWeek;
import org.swaplane.lane.Lane;

/** The score of a file with marked errors, and the report of a lane. */
class QualityCommandsTest extends CommandTest {
    private static final String ERROR = "\"unit\":\"tt.afternoon\",\"start\":0,\"end\":3";

    private Path demo;

    @BeforeEach
    void writeDemo() throws IOException {
        demo = Files.write(folder.resolve("info.xlf"), DemoLane.file());
    }

    private Path errors(String json) throws IOException {
        return Files.writeString(folder.resolve("errors.json"), json);
    }

    @Test
    void theScoreSaysWordsPenaltyAndWhetherItPassed() throws IOException {
        Path errors = errors("{\"passMark\":99.7,\"errors\":[{" + ERROR
                + ",\"category\":\"accuracy/omission\",\"severity\":\"minor\",\"comment\":\"Pier\"},{" + ERROR
                + ",\"category\":\"locale-conventions\",\"severity\":\"neutral\"}]}");

        assertThat(run("score", demo, errors, "--json", "-o", folder.resolve("report.html")))
                .isZero();

        assertThat(json().toString())
                .isEqualTo(
                        "{\"words\":407,\"penalty\":1,\"score\":99.7543,\"passed\":true,"
                                + "\"byCategory\":{\"accuracy\":{\"count\":1,\"penalty\":1},"
                                + "\"locale-conventions\":{\"count\":1,\"penalty\":0}},"
                                + "\"bySeverity\":{\"neutral\":{\"count\":1,\"penalty\":0},\"minor\":{\"count\":1,\"penalty\":1}}}");
        assertThat(folder.resolve("report.html")).content().contains("Accuracy: omission", "Pier", "99.7543");
    }

    @Test
    void notPassedIsExitStatusOne() throws IOException {
        Path errors = errors("{\"errors\":[{" + ERROR + ",\"category\":\"accuracy\",\"severity\":\"critical\"}]}");

        assertThat(run("score", demo, errors, "--json")).isEqualTo(1);
        assertThat(json().get("passed").asBoolean()).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"errors\":[{\"unit\":\"nowhere\",\"start\":0,\"end\":1,\"category\":\"style\",\"severity\":\"minor\"}]}",
                "{\"errors\":[{\"unit\":\"tt.afternoon\",\"segment\":\"other\",\"start\":0,\"end\":1,\"category\":\"style\",\"severity\":\"minor\"}]}",
                "{\"errors\":[{\"unit\":\"tt.afternoon\",\"start\":0,\"end\":9999,\"category\":\"style\",\"severity\":\"minor\"}]}",
                "{\"errors\":[{\"unit\":\"tt.afternoon\",\"start\":3,\"end\":1,\"category\":\"style\",\"severity\":\"minor\"}]}",
                "{\"errors\":[{\"unit\":\"tt.afternoon\",\"start\":0,\"category\":\"style\",\"severity\":\"minor\"}]}",
                "{\"errors\":[{\"unit\":\"tt.afternoon\",\"start\":0,\"end\":1,\"category\":\"taste\",\"severity\":\"minor\"}]}",
                "{\"errors\":[{\"unit\":\"tt.afternoon\",\"start\":0,\"end\":1,\"category\":\"style\",\"severity\":\"dire\"}]}",
                "{\"errors\":[3]}",
                "{\"errors\":{}}",
                "{\"passMark\":\"high\",\"errors\":[]}",
                "[]",
                "",
                "{\"errors\":[]} more"
            })
    void whatIsNoListOfErrorsOfThisFileIsBadInputSaidInOneLine(String json) throws IOException {
        assertThat(run("score", demo, errors(json), "--json")).isEqualTo(2);

        assertThat(printed()).isEmpty();
        assertThat(complaint().strip().lines()).singleElement().asString().contains("errors.json");
    }

    @Test
    void aLaneIsReportedWithoutBeingChanged() throws IOException {
        Path lane = folder.resolve("lane");
        try (Lane made = DemoLane.create(lane, Clock.systemUTC())) {
            DemoWeek.work(made);
        }
        byte[] before = Files.readAllBytes(lane.resolve("lane.db"));

        assertThat(run("report", lane, "--json", "--parts", "quality,amounts", "-o", folder.resolve("report.xlsx")))
                .isZero();

        assertThat(json().get("title").asText()).isEqualTo("Job report: Marram Sound Ferries");
        assertThat(json().get("sections"))
                .anySatisfy(
                        section -> assertThat(section.get("heading").asText()).isEqualTo("Account"));
        assertThat(folder.resolve("report.xlsx")).isNotEmptyFile();
        assertThat(Files.readAllBytes(lane.resolve("lane.db"))).isEqualTo(before);
        assertThat(run("report", lane, "-o", folder.resolve("report.xlsx"))).isEqualTo(2);
        assertThat(run("report", lane, "--profile", "client", "--language", "de"))
                .isZero();
        assertThat(printed()).contains("Fehlerkategorie").doesNotContain("Mara Lind");
    }

    @Test
    void aReportOfWhatThereIsNotIsBadInput() {
        assertThat(run("report", folder.resolve("nowhere"))).isEqualTo(2);
        assertThat(run("report", folder, "--parts", "taste")).isEqualTo(2);
        assertThat(complaint()).contains("taste");
        assertThat(run("report", folder, "--from", "2026-11-02", "--to", "2026-11-01"))
                .isEqualTo(2);
        assertThat(run("report", folder, "-o", folder.resolve("report.pdf"))).isEqualTo(2);
        assertThat(complaint().strip().lines()).hasSize(1);
    }
}
