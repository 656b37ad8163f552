package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.util.List;
import org.swaplane.document.Segment;
import org.swaplane.task.Progress;

/** What every bilingual format owes to the files that it writes back. */
public record Fidelity(BilingualFormat format) {
    public void untouchedIsTheSame(byte[] file) throws IOException {
        assertThat(write(read(file), List.of())).isEqualTo(file);
    }

    /** One edit of the first segment, within its element {@code owner}, is read again; all around it stays. */
    public void onlyTheFirstChanges(byte[] file, SegmentEdit edit, String owner) throws IOException {
        BilingualFile before = read(file);

        byte[] written = write(before, List.of(edit));

        List<Segment> after = read(written).document().segments();
        assertThat(after.get(0).target()).isEqualTo(edit.target());
        assertThat(after.get(0).state()).isEqualTo(edit.state());
        assertThat(after.subList(1, after.size()))
                .isEqualTo(before.document().segments().subList(1, after.size()));
        Charset charset = SampleEncoding.of(file);
        String textBefore = new String(file, charset);
        assertThat(new String(written, charset))
                .startsWith(textBefore.substring(0, textBefore.indexOf("<" + owner)))
                .endsWith(textBefore.substring(textBefore.indexOf("</" + owner + ">")));
    }

    private BilingualFile read(byte[] file) throws IOException {
        return format.read(Source.of("info.xlf", file), FileOptions.NONE, Progress.NONE);
    }

    private static byte[] write(BilingualFile file, List<SegmentEdit> edits) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        file.write(edits, out, Progress.NONE);
        return out.toByteArray();
    }
}
