package org.swaplane.terms;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.format.Source;

class NewTbxTest {
    @Test
    void aListIsReadAsItWasWritten() throws Exception {
        TermList list = new TermList(
                "terms.tbx",
                List.of(
                        new TermList.Entry(
                                List.of(
                                        new TermList.Wording("en-GB", "ferry & pier", false),
                                        new TermList.Wording("de-DE", "Fähre <neu>", false),
                                        new TermList.Wording("de-DE", "Dampfer", true)),
                                "A boat & its place.\nNever short."),
                        new TermList.Entry(List.of(
                                new TermList.Wording("en-GB", "gangway", false),
                                new TermList.Wording("ar", "ممر", false)))));
        ByteArrayOutputStream tbx = new ByteArrayOutputStream();
        NewTbx.write(list, tbx);

        TermList read = TermListReader.read(Source.of("terms.tbx", tbx.toByteArray()));

        assertThat(read.between("en-GB", "de-DE"))
                .containsExactly(new Term(
                        "ferry & pier",
                        List.of("Fähre <neu>"),
                        List.of("Dampfer"),
                        "A boat & its place.\nNever short."));
        assertThat(read.between("en-GB", "ar")).containsExactly(new Term("gangway", List.of("ممر"), List.of()));
    }
}
