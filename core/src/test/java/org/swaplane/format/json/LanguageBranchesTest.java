package org.swaplane.format.json;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LanguageBranchesTest {
    private static LanguageBranches of(String json, String source, String target) throws IOException {
        try (JsonParser parser = new JsonFactory().createParser(json)) {
            parser.nextToken();
            return LanguageBranches.of(JsonTree.read(parser), source, target);
        }
    }

    private static List<String> pairs(LanguageBranches branches) {
        return branches.pairs().stream()
                .map(pair -> pair.path() + ": " + pair.source().value() + " = "
                        + pair.target().map(JsonTree.JsonString::value).orElse("-"))
                .toList();
    }

    @Test
    void textsAreFoundAtAnyDepthWithTheirCounterparts() throws IOException {
        String json = """
                {"menu": {"en": {"go": "Go", "list": ["One", "Two"]}, "de": {"go": "Geh", "list": ["Eins"]}},
                 "items": [{"label": {"en": "Quay", "fr": "Quai"}}], "version": 4, "note": "not translated"}
                """;

        assertThat(pairs(of(json, "en", "de")))
                .containsExactly(
                        "/menu/en/go: Go = Geh",
                        "/menu/en/list/0: One = Eins",
                        "/menu/en/list/1: Two = -",
                        "/items/0/label/en: Quay = -");
    }

    @ParameterizedTest
    @CsvSource({
        "en-GB, de-DE, en_GB, de_DE, B",
        "en-GB, de-DE, en, de, B",
        "en, de-AT, en, de-AT, B",
        "en, de, en, de-AT, -",
        "fr, de, en, de, ''"
    })
    void aLanguageIsFoundByItsCodeOrByTheLanguageAlone(
            String source, String target, String sourceName, String targetName, String found) throws IOException {
        String json = "{\"" + sourceName + "\": \"A\", \"" + targetName + "\": \"B\"}";

        List<String> expected = found.isEmpty() ? List.of() : List.of("/" + sourceName + ": A = " + found);
        assertThat(pairs(of(json, source, target))).isEqualTo(expected);
    }

    @Test
    void anotherKindOfValueIsNoCounterpart() throws IOException {
        assertThat(pairs(of("{\"en\": {\"a\": \"A\"}, \"de\": \"B\"}", "en", "de")))
                .containsExactly("/en/a: A = -");
        assertThat(pairs(of("{\"en\": \"A\"}", "en", ""))).isEmpty();
    }
}
