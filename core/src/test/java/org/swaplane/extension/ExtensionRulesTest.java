package org.swaplane.extension;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.swaplane.task.CannotProceedException;

class ExtensionRulesTest {
    private static final ReadingRule LOCKED = new ReadingRule("urn:a", "unit", "x", "1", Meaning.LOCKED);
    private static final ReadingRule FINAL = new ReadingRule("urn:a", "unit", "x", "1", Meaning.FINAL);
    private static final WritingRule MIRROR = new WritingRule(Occasion.FINAL, "urn:a", "unit", "x", "1");

    @Test
    void areTheSameAfterBeingSavedForAnotherLane() {
        ExtensionRules rules = ExtensionRules.NONE.with(LOCKED).with(MIRROR);

        assertThat(ExtensionRules.ofJson("rules.json", rules.toJson())).isEqualTo(rules);
    }

    @Test
    void rulesOfEarlierVersionsWereAboutStates() {
        String written = ExtensionRules.NONE.with(MIRROR).toJson().replace("\"when\"", "\"state\"");

        assertThat(ExtensionRules.ofJson("rules.json", written).writing()).containsExactly(MIRROR);
    }

    @Test
    void aValueMeansOneThing() {
        assertThat(ExtensionRules.NONE.with(LOCKED).with(FINAL).reading()).containsExactly(FINAL);
        assertThat(ExtensionRules.NONE
                        .with(FINAL)
                        .with(ExtensionRules.NONE.with(LOCKED))
                        .reading())
                .containsExactly(LOCKED);
    }

    @Test
    void aFileThatHoldsSomethingElseIsRefusedWithItsPlace() {
        assertThatThrownBy(() -> ExtensionRules.ofJson("rules.json", "{\n \"reading\": 5}"))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageStartingWith("rules.json:2:");
    }
}
