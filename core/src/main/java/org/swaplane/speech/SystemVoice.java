package org.swaplane.speech;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.swaplane.task.Progress;

/** The voice of the operating system, by the program that it has for it; the text goes to its standard input and into no command line. */
final class SystemVoice implements Voice {
    private static final long POLL_MILLIS = 50;
    private static final String LANGUAGE = "{language}";

    /** Programs and what they are told. */
    private static final List<List<String>> KNOWN = List.of(
            List.of("say", "-f", "-"),
            List.of("espeak-ng", "--stdin", "-v", LANGUAGE),
            List.of("spd-say", "--wait", "--pipe-mode", "--language", LANGUAGE));

    private final List<String> command;

    private SystemVoice(List<String> command) {
        this.command = command;
    }

    static Optional<SystemVoice> find() {
        return KNOWN.stream()
                .filter(command -> isThere(command.get(0)))
                .findFirst()
                .map(SystemVoice::new);
    }

    private static boolean isThere(String program) {
        String path = System.getenv().getOrDefault("PATH", "");
        return Stream.of(path.split(File.pathSeparator))
                .filter(folder -> !folder.isEmpty())
                .anyMatch(folder -> Files.isExecutable(Path.of(folder, program)));
    }

    @Override
    public void read(String text, String language, Listener listener, Progress progress) throws IOException {
        String code = Locale.forLanguageTag(language).getLanguage();
        Process process = new ProcessBuilder(command.stream()
                        .map(part -> part.replace(LANGUAGE, code))
                        .toList())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        try (var in = process.getOutputStream()) {
            in.write(text.getBytes(StandardCharsets.UTF_8));
        }
        try {
            while (!process.waitFor(POLL_MILLIS, TimeUnit.MILLISECONDS)) {
                if (progress.cancelled()) {
                    process.destroy();
                    return;
                }
            }
        } catch (InterruptedException e) {
            process.destroy();
            Thread.currentThread().interrupt();
        }
    }
}
