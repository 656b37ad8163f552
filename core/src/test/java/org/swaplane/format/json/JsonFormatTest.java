package org.swaplane.format.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.swaplane.format.DocumentSample;
import org.swaplane.task.CannotProceedException;

class JsonFormatTest {
    private static final String FILE = """
            {
              "quay": { "title" : "Leave at {time}. Be on time!", "seats": 40 },
              "list": ["One \\"two\\"", "", "<b>Go</b> on"],
              "number": "12"
            }
            """;

    @Test
    void stringsAreUnitsWithTheirPath() throws IOException {
        assertThat(DocumentSample.of("a.json", FILE).extracted())
                .containsExactly(
                        "/quay/title/1: Leave at ⟦1/⟧.",
                        "/quay/title/2: Be on time!",
                        "/list/0: One \"two\"",
                        "/list/2: ⟦1⟧Go⟦/1⟧ on");
    }

    @Test
    void onlyTheStringsChange() throws IOException {
        String written = DocumentSample.of("a.json", FILE).translated(text -> text.replace("time", "Zeit \\ \"x\""));

        assertThat(written).isEqualTo(FILE.replace("Be on time!", "Be on Zeit \\\\ \\\"x\\\"!"));
        assertThat(new ObjectMapper().readTree(written).at("/quay/title").asText())
                .isEqualTo("Leave at {time}. Be on Zeit \\ \"x\"!");
    }

    @Test
    void brokenJsonIsRefusedWithItsPlace() {
        assertThatThrownBy(() ->
                        DocumentSample.of("a.json", "{\n \"a\": \"b\",\n}").open())
                .isInstanceOf(CannotProceedException.class)
                .hasMessageStartingWith("a.json:3:");
        assertThatThrownBy(() -> DocumentSample.of("a.json", "[".repeat(10_000)).open())
                .isInstanceOf(CannotProceedException.class);
    }
}
