package org.swaplane.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.task.CannotProceedException;

class FileNamingTest {
    private static final Map<String, String> FIELDS = Map.of("target", "de-DE", "lane", "A/B: C");

    @ParameterizedTest
    @CsvSource({
        "{name}_{target}.{ext}, info.v2.xlf, info.v2_de-DE.xlf",
        "{target}-{name}, info, de-DE-info",
        "{lane}.{ext}, x.xlf, A-B- C.xlf"
    })
    void namesAreMadeByThePattern(String pattern, String original, String name) {
        assertThat(new FileNaming(pattern).name(original, FIELDS)).isEqualTo(name);
    }

    @Test
    void aPatternCannotLeaveItsFolder() {
        assertThat(new FileNaming("../../{name}").name("x.xlf", FIELDS)).doesNotContain("/");
        assertThatThrownBy(() -> new FileNaming("..").name("x.xlf", FIELDS)).isInstanceOf(CannotProceedException.class);
    }

    @Test
    void anUnknownFieldIsSaid() {
        assertThatThrownBy(() -> new FileNaming("{nmae}").name("x.xlf", FIELDS)).hasMessageContaining("{nmae}");
    }
}
