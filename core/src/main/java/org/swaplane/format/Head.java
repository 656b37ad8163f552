package org.swaplane.format;

import java.io.IOException;
import java.io.InputStream;
import java.util.Locale;

/** The first bytes of a file, from which its format is told. */
public final class Head {
    private static final int LENGTH = 8192;

    private final String extension;
    private final byte[] bytes;
    private final TextEncoding encoding;

    private Head(String name, byte[] bytes) {
        this.extension = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        this.bytes = bytes;
        this.encoding = TextEncoding.detect(bytes);
    }

    public static Head of(Source source) throws IOException {
        try (InputStream in = source.open()) {
            return new Head(source.name(), in.readNBytes(LENGTH));
        }
    }

    public boolean isEmpty() {
        return bytes.length == 0;
    }

    /** What stands behind the last dot of the name, in lower case; for formats that do not say what they are. */
    public String extension() {
        return extension;
    }

    public boolean isZip() {
        return bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] == 3 && bytes[3] == 4;
    }

    /** The bytes as text in the encoding that they seem to have; what cannot be decoded is replaced. */
    public String text() {
        return new String(bytes, encoding.bom(), bytes.length - encoding.bom(), encoding.charset());
    }
}
