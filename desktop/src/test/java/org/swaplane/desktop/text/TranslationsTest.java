package org.swaplane.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessageFormat;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.check.CheckRun;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** The German strings against the English ones, by the checks that the application makes for everybody else. */
class TranslationsTest {
    private static final Set<String> CHECKS = Set.of("message-syntax", "placeholders", "empty-target", "edge-space");
    /** Patterns of file names and regular expressions, which no message format would take. */
    private static final Set<String> NOT_MESSAGES = Set.of("release.naming-hint", "placeholders.own-example");

    private static ResourceBundle bundle(String name, Locale locale) {
        return ResourceBundle.getBundle(
                name, locale, ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES));
    }

    @ParameterizedTest
    @ValueSource(strings = {"org.swaplane.desktop.text.strings", "org.swaplane.wording.core"})
    void theGermanStringsAreCompleteAndHaveTheSameArguments(String name) throws IOException {
        ResourceBundle english = bundle(name, Locale.ENGLISH);
        ResourceBundle german = bundle(name, Locale.GERMAN);

        assertThat(german.getLocale()).isEqualTo(Locale.GERMAN);
        assertThat(new TreeSet<>(own(german))).isEqualTo(new TreeSet<>(english.keySet()));
        List<String> keys = english.keySet().stream()
                .filter(key -> !NOT_MESSAGES.contains(key))
                .sorted()
                .toList();
        assertThat(keys).allSatisfy(key -> assertThat(arguments(german.getString(key)))
                .as(key)
                .isEqualTo(arguments(english.getString(key))));
        assertThat(findings(keys, english, german)).isEmpty();
    }

    private static Set<String> own(ResourceBundle german) {
        return german.keySet();
    }

    private static Set<String> arguments(String pattern) {
        return new TreeSet<>(new MessageFormat(pattern, Locale.ENGLISH).getArgumentNames());
    }

    private static List<String> findings(List<String> keys, ResourceBundle english, ResourceBundle german)
            throws IOException {
        String units = keys.stream()
                .map(key -> "<trans-unit id=\"" + key + "\"><source>" + escaped(english.getString(key))
                        + "</source><target>" + escaped(german.getString(key)) + "</target></trans-unit>")
                .collect(Collectors.joining());
        String file = "<xliff xmlns=\"urn:oasis:names:tc:xliff:document:1.2\" version=\"1.2\"><file original=\"a\""
                + " source-language=\"en\" target-language=\"de\" datatype=\"x\"><body>" + units
                + "</body></file></xliff>";
        return CheckRun.ofAllChecks()
                .run(
                        FormatRegistry.ofInstalled()
                                .open(Source.of("strings.xlf", file.getBytes(StandardCharsets.UTF_8)), Progress.NONE)
                                .document(),
                        Progress.NONE)
                .stream()
                .filter(finding -> CHECKS.contains(finding.check()))
                .map(finding -> finding.unit() + ": " + finding.message())
                .toList();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;");
    }
}
