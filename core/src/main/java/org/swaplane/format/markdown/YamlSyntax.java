package org.swaplane.format.markdown;

import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.format.UnitSyntax;

/** How a value on one line is written in YAML 1.2. */
enum YamlSyntax implements UnitSyntax {
    PLAIN {
        @Override
        String read(String written) {
            return written;
        }

        /** What would be read as something else goes into quotation marks. */
        @Override
        public String written(Content content) {
            String value = content.withCodes();
            return SAFE.matcher(value).matches() ? value : '"' + DOUBLE.written(content) + '"';
        }
    },
    SINGLE {
        @Override
        String read(String written) {
            return written.replace("''", "'");
        }

        @Override
        public String written(Content content) {
            return content.withCodes().replace("'", "''");
        }
    },
    DOUBLE {
        @Override
        String read(String written) {
            return written.replaceAll("\\\\([\"\\\\/])", "$1");
        }

        @Override
        public String written(Content content) {
            return content.withCodes().replace("\\", "\\\\").replace("\"", "\\\"");
        }
    };

    /** Plain in any reader: begins with a letter, and has nothing that ends a plain value. */
    private static final Pattern SAFE = Pattern.compile("\\p{L}(?:(?!: | #|:$)[^\\r\\n])*+");

    abstract String read(String written);

    /** Quotation marks may come with a translation. */
    @Override
    public String comparable(Content content) {
        return content.withCodes();
    }

    /** The syntax of a value as it stands, with its quotation marks. */
    static YamlSyntax of(String value) {
        return value.startsWith("\"") ? DOUBLE : value.startsWith("'") ? SINGLE : PLAIN;
    }
}
