package org.swaplane.wording;

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

class WordingTest {
    private static final Pattern KEY = Pattern.compile("text\\(\\s*\"([a-z][\\w.-]*\\w)\"[,)]");

    @Test
    void everyKeyThatCoreNamesIsInTheBundle() throws IOException {
        Set<String> known = ResourceBundle.getBundle("org.swaplane.wording.core", Locale.ROOT)
                .keySet();
        Set<String> missing = new TreeSet<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            files.filter(path -> path.toString().endsWith(".java"))
                    .map(WordingTest::text)
                    .forEach(text -> {
                        Matcher key = KEY.matcher(text);
                        while (key.find()) {
                            if (!known.contains(key.group(1))) {
                                missing.add(key.group(1));
                            }
                        }
                    });
        }

        assertThat(missing).isEmpty();
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void sentencesCountInWords() {
        assertThat(Wording.text("gate.findings.open", 1)).isEqualTo("One finding is open");
        assertThat(Wording.text("gate.findings.open", 3)).isEqualTo("3 findings are open");
    }

    @Test
    void whatIsPutInIsNotTakenForSyntax() {
        assertThat(Wording.text("check.placeholders.missing", "{0}'s '{1}"))
                .isEqualTo("Placeholder {0}'s '{1} is missing in the target");
    }
}
