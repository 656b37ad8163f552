package org.swaplane.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PseudoInterfaceTest {
    @ParameterizedTest
    @ValueSource(strings = {"org.swaplane.desktop.text.strings", "org.swaplane.wording.core"})
    void everyStringKeepsItsArguments(String bundle) {
        ResourceBundle strings = ResourceBundle.getBundle(bundle, Locale.ROOT);
        PseudoInterface pseudo = new PseudoInterface();

        for (String key : strings.keySet()) {
            String pattern = strings.getString(key);
            String translated = pseudo.translate(pattern);
            if (pattern.contains("{0")) {
                assertThat(new MessageFormat(translated, Locale.ENGLISH).getArgumentNames())
                        .as(key)
                        .isEqualTo(new MessageFormat(pattern, Locale.ENGLISH).getArgumentNames());
            }
            assertThat(translated).as(key).isNotEqualTo(pattern.chars().anyMatch(Character::isLetter) ? pattern : "");
        }
    }
}
