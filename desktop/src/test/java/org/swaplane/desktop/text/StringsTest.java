package org.swaplane.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.swaplane.check.CheckIds;
import org.swaplane.wording.Wording;

class StringsTest {
    private static final Pattern KEY = Pattern.compile(
            "(?:text|title|heading)\\(\\s*\"([a-z][\\w.-]*[\\w])\"|(?:button|primary)\\(\\s*\"[\\w-]+\",\\s*\"([a-z][\\w.-]*[\\w])\"");
    private static final Pattern COMMAND = Pattern.compile("commands\\.add\\(\\s*\"([\\w-]+)\"");

    private static String sources() {
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            StringBuilder all = new StringBuilder();
            for (Path file :
                    files.filter(path -> path.toString().endsWith(".java")).toList()) {
                all.append(Files.readString(file));
            }
            return all.toString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void everyKeyThatTheCodeNamesIsInTheBundle() {
        Set<String> missing = new TreeSet<>();
        Set<String> known = ResourceBundle.getBundle("org.swaplane.desktop.text.strings", Locale.ROOT)
                .keySet();
        Matcher key = KEY.matcher(sources());
        while (key.find()) {
            String name = key.group(1) == null ? key.group(2) : key.group(1);
            if (!known.contains(name)) {
                missing.add(name);
            }
        }
        Matcher command = COMMAND.matcher(sources());
        while (command.find()) {
            if (!known.contains("command." + command.group(1))) {
                missing.add("command." + command.group(1));
            }
        }

        assertThat(missing).isEmpty();
    }

    @Test
    void everyCheckHasAName() {
        assertThat(CheckIds.ALL).allSatisfy(check -> assertThat(Wording.text("check-name." + check))
                .isNotBlank()
                .doesNotStartWith("<"));
    }

    @Test
    void aMissingKeyShowsAsItself() {
        assertThat(Strings.text("no.such.key")).isEqualTo("<no.such.key>");
    }

    @Test
    void whereALanguageIsLackingEverythingIsEnglish() {
        try {
            Strings.choose(Locale.JAPANESE);
            assertThat(Strings.text("return.take-count", 1)).isEqualTo("Accept 1 change");
            Strings.choose(Locale.forLanguageTag("de-AT"));
            assertThat(Strings.text("return.take-count", 1)).isEqualTo("1 Änderung übernehmen");
        } finally {
            Strings.choose(Locale.ENGLISH);
        }
    }

    @Test
    void numbersOfThingsAreSaidInWords() {
        assertThat(Strings.text("return.take-count", 1)).isEqualTo("Accept 1 change");
        assertThat(Strings.text("return.take-count", 12)).isEqualTo("Accept 12 changes");
    }
}
