package org.swaplane.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.format.DocumentFile;

class DocumentProofTest {
    private static final Run PLAIN = tag("<w:rPr><w:sz w:val=\"24\"/></w:rPr>");
    private static final Run CHANGED =
            tag("<w:rPr><w:b/><w:rPrChange w:id=\"4\"><w:rPr><w:sz w:val=\"24\"/></w:rPr></w:rPrChange></w:rPr>");
    private static final Run LINK = tag("<w:hyperlink r:id=\"rId9\">");
    private static final Run LINK_ENDS = tag("</w:hyperlink>");

    private static Tag tag(String code) {
        return new Tag(Tag.Kind.STANDALONE, code, code, "");
    }

    private static List<DocumentFile.WrittenUnit> unit(Run... runs) {
        Content content = Content.of(runs);
        return List.of(new DocumentFile.WrittenUnit(content, content.withCodes()));
    }

    @Test
    void whichFormattingIsTheParagraphsOwnDoesNotMatter() {
        List<DocumentFile.WrittenUnit> written =
                unit(new Text("The pier "), LINK, CHANGED, new Text("at Gullwick"), LINK_ENDS);
        List<DocumentFile.WrittenUnit> read =
                unit(PLAIN, new Text("The pier "), LINK, new Text("at Gullwick"), LINK_ENDS, PLAIN);

        assertThat(DocumentProof.firstLost(written, read)).isEmpty();
    }

    @Test
    void aLostLinkIsLost() {
        List<DocumentFile.WrittenUnit> written =
                unit(new Text("The pier "), LINK, new Text("at Gullwick"), LINK_ENDS, new Text(" is open"));

        assertThat(DocumentProof.firstLost(written, unit(new Text("The pier at Gullwick is open"))))
                .contains("The pier at Gullwick is open");
    }

    @Test
    void aLostWordIsLost() {
        assertThat(DocumentProof.firstLost(unit(PLAIN, new Text("The pier")), unit(PLAIN, new Text("The"))))
                .isPresent();
    }
}
