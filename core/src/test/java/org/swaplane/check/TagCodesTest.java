package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.document.BilingualDocument;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** Tags that are the same by their ids, as files write them. */
class TagCodesTest {
    private static List<String> found(String source, String target) throws IOException {
        String file = "<xliff version='1.2' xmlns='urn:oasis:names:tc:xliff:document:1.2'><file original='a'"
                + " source-language='en' target-language='de' datatype='x'><body><trans-unit id='1'><source>" + source
                + "</source><target>" + target + "</target></trans-unit></body></file></xliff>";
        BilingualDocument document = FormatRegistry.ofInstalled()
                .open(Source.of("a.xlf", file.getBytes(StandardCharsets.UTF_8)), Progress.NONE)
                .document();
        return CheckRun.ofAllChecks().run(document, Progress.NONE).stream()
                .filter(finding -> finding.check().equals("tags"))
                .map(finding -> finding.phrase().key())
                .toList();
    }

    @Test
    void anotherCodeUnderTheSameIdIsFound() throws IOException {
        assertThat(found("Deck <ph id='1'>&lt;br/></ph> bar", "Deck <ph id='1'>&lt;hr/></ph> bar"))
                .containsExactly("check.tags.code");
        assertThat(found(
                        "<bpt id='1'>&lt;b></bpt>A<ept id='1'>&lt;/b></ept>",
                        "<bpt id='1'>&lt;i></bpt>A<ept id='1'>&lt;/i></ept>"))
                .containsExactly("check.tags.code");
    }

    @Test
    void anotherHalfUnderTheSameIdIsFound() throws IOException {
        assertThat(found("Deck <it id='1' pos='open'>&lt;b></it> bar", "Deck <it id='1' pos='close'>&lt;b></it> bar"))
                .containsExactly("check.tags.code");
    }

    @Test
    void theSameCodeWrittenOtherwiseIsTheSame() throws IOException {
        assertThat(found(
                        "Deck <ph id='1' ctype='x-a'>&lt;br/></ph> bar",
                        "Deck <ph ctype='x-a' xid='7' id='1'>&lt;br/></ph> bar"))
                .isEmpty();
        assertThat(found("<g id='1' ctype='bold'>A</g> b", "<g id='1'>A</g> b")).isEmpty();
    }

    @Test
    void aTagThatTheFileLetsPeopleCloneMayBeRepeated() throws IOException {
        assertThat(found(
                        "<g id='1' clone='yes'>A</g> and b",
                        "<g id='1' clone='yes'>A</g> und <g id='1' clone='yes'>b</g>"))
                .isEmpty();
        assertThat(found("<g id='1'>A</g> and b", "<g id='1'>A</g> und <g id='1'>b</g>"))
                .containsExactly("check.tags.added");
    }
}
