package org.swaplane.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class ReasonTest {
    static Stream<Arguments> causes() {
        return Stream.of(
                Arguments.of(new IOException("com.ctc.wstx.exc.WstxIOException: Invalid byte"), "Invalid byte"),
                Arguments.of(new IOException("pier\u001B[31m"), "pier␛[31m"),
                Arguments.of(new IOException("first\nsecond"), "first"),
                Arguments.of(
                        new FileSystemException("/out/a.xlf", null, "No space left on device"),
                        "/out/a.xlf: the disk is full; free some space, and try again"),
                Arguments.of(new IllegalStateException(), "the system gave no reason"));
    }

    @ParameterizedTest
    @MethodSource("causes")
    void aCauseIsOneLineWithoutNamesOfClasses(Exception cause, String said) {
        assertThat(Reason.of(cause)).isEqualTo(said);
    }
}
