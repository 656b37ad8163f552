package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.swaplane.task.CannotProceedException;

class SafeZipTest {
    private static byte[] zip(int entries) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (int i = 0; i < entries; i++) {
                zip.putNextEntry(new ZipEntry("part" + i + ".xml"));
                zip.write(("content " + i).getBytes());
            }
        }
        return bytes.toByteArray();
    }

    @Test
    void onlyTheEntriesThatAreAskedForAreRead() throws IOException {
        assertThat(SafeZip.read(Source.of("a.docx", zip(5)), Set.of("part3.xml", "none.xml")))
                .containsOnlyKeys("part3.xml");
    }

    @Test
    void aHundredThousandEntriesAreRefused() throws IOException {
        byte[] file = zip(100_000);

        assertThatThrownBy(() -> SafeZip.read(Source.of("a.docx", file), Set.of("part99999.xml")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageStartingWith("a.docx: the archive has more than 10,000 entries");
    }

    @Test
    void aZipThatIsCutOffIsRefused() throws IOException {
        byte[] file = zip(3);

        assertThatThrownBy(() -> SafeZip.read(Source.of("a.docx", Arrays.copyOf(file, 60)), Set.of("part1.xml")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("broken or cut off");
    }

    @Test
    void anEncryptedZipIsSaidToBeOne() throws IOException {
        byte[] file = zip(1);
        file[6] |= 1; // the flag of the first entry

        assertThatThrownBy(() -> SafeZip.read(Source.of("a.docx", file), Set.of("part0.xml")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessage("a.docx: the archive is encrypted. Ask the sender for it without a password.");
    }

    @Test
    void theHeadOfAnEntryTellsItsWholeSize() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("media/large.bin"));
            zip.write(new byte[3 << 20]);
        }

        SafeZip.EntryHead head = SafeZip.heads(Source.of("a.docx", bytes.toByteArray()), name -> true)
                .get("media/large.bin");

        assertThat(head.size()).isEqualTo(3 << 20);
        assertThat(head.bytes()).hasSize(1 << 16);
    }

    /** An entry of zeros, packed to a thousandth of its size. */
    private static byte[] bomb(String name, int megabytes) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry(name));
            byte[] megabyte = new byte[1 << 20];
            for (int i = 0; i < megabytes; i++) {
                zip.write(megabyte);
            }
        }
        return bytes.toByteArray();
    }

    @Test
    void anEntryThatUnpacksToFarMoreThanItIsPackedInIsRefusedAlsoWhereNobodyWantsIt() throws IOException {
        Source archive = Source.of("a.docx", bomb("word/media/image1.png", 400));

        assertThatThrownBy(() -> SafeZip.read(archive, Set.of("word/document.xml")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("word/media/image1.png");
        assertThatThrownBy(() -> SafeZip.heads(archive, name -> true)).isInstanceOf(CannotProceedException.class);
        assertThatThrownBy(() -> SafeZip.read(archive, name -> true)).isInstanceOf(CannotProceedException.class);
    }

    @Test
    void aPartThatPacksWellIsNoBomb() throws IOException {
        assertThat(SafeZip.read(Source.of("a.xlsx", bomb("xl/worksheets/sheet1.xml", 60)), name -> true)
                        .get("xl/worksheets/sheet1.xml"))
                .hasSize(60 << 20);
    }
}
