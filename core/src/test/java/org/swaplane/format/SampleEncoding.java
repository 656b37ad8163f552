package org.swaplane.format;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/** Ways in which a generated XML file is encoded. */
public enum SampleEncoding {
    UTF_8("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n", "", StandardCharsets.UTF_8),
    UTF_8_WITHOUT_DECLARATION("", "", StandardCharsets.UTF_8),
    UTF_8_BOM("<?xml version='1.0'?>\n", "\uFEFF", StandardCharsets.UTF_8),
    UTF_16_LE("<?xml version=\"1.0\" encoding=\"UTF-16\"?>\n", "\uFEFF", StandardCharsets.UTF_16LE),
    UTF_16_BE("<?xml version=\"1.0\" encoding=\"UTF-16\"?>\n", "\uFEFF", StandardCharsets.UTF_16BE);

    private final String declaration;
    private final String mark;
    private final Charset charset;

    SampleEncoding(String declaration, String mark, Charset charset) {
        this.declaration = declaration;
        this.mark = mark;
        this.charset = charset;
    }

    public String declaration() {
        return declaration;
    }

    public byte[] bytes(String text) {
        return (mark + text).getBytes(charset);
    }

    /** The encoding of bytes that came from one of these. */
    public static Charset of(byte[] file) {
        return file[0] == (byte) 0xFF
                ? StandardCharsets.UTF_16LE
                : file[0] == (byte) 0xFE ? StandardCharsets.UTF_16BE : StandardCharsets.UTF_8;
    }
}
