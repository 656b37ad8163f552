package org.swaplane.cli;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Runs commands as the program does, and hears what they print. */
abstract class CommandTest {
    @TempDir
    Path folder;

    private final PrintStream systemOut = System.out;
    private final PrintStream systemErr = System.err;
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream err = new ByteArrayOutputStream();

    @BeforeEach
    void listen() {
        System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(err, true, StandardCharsets.UTF_8));
    }

    @AfterEach
    void stopListening() {
        System.setOut(systemOut);
        System.setErr(systemErr);
    }

    int run(Object... arguments) {
        out.reset();
        err.reset();
        return SwapLane.run(Arrays.stream(arguments).map(Object::toString).toArray(String[]::new));
    }

    String printed() {
        return out.toString(StandardCharsets.UTF_8);
    }

    String complaint() {
        return err.toString(StandardCharsets.UTF_8);
    }

    JsonNode json() throws IOException {
        return new ObjectMapper().readTree(printed());
    }
}
