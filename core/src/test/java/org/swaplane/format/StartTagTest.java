package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StartTagTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '^', textBlock = """
                    <target>                        | <target state="final">
                    <target/>                       | <target state="final"/>
                    <target  a='1' >                | <target  a='1' state="final" >
                    <target state="new" a="1">      | <target state="final" a="1">
                    <target state = 'new'>          | <target state = 'final'>
                    <target x:state="new">          | <target x:state="new" state="final">
                    <target state-qualifier="q">    | <target state-qualifier="q" state="final">
                    """)
    void anAttributeIsSetWithoutTouchingAnythingElse(String before, String after) {
        assertThat(new StartTag(before).with("state", "final").raw()).isEqualTo(after);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '^', textBlock = """
                    <segment state="new" subState="x:y">  | <segment state="new">
                    <segment  subState='x:y' id="1">      | <segment id="1">
                    <segment id="1">                      | <segment id="1">
                    """)
    void anAttributeIsTakenOutWithItsBlank(String before, String after) {
        assertThat(new StartTag(before).without("subState").raw()).isEqualTo(after);
    }

    @Test
    void anEmptyElementCanBeOpened() {
        assertThat(new StartTag("<x:g id='1' />").opened().raw()).isEqualTo("<x:g id='1'>");
        assertThat(new StartTag("<x:g id='1' />").name()).isEqualTo("x:g");
        assertThat(new StartTag("<g>").opened().raw()).isEqualTo("<g>");
    }
}
