package org.swaplane.desk;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.StringJoiner;

/**
 * How a task's files are wanted.
 *
 * @param editableLocked whether segments that are locked may be edited all the same
 * @param filled whether targets that the client's memory knows exactly are filled in
 */
public record DownloadOptions(Form form, Memory memory, boolean references, boolean editableLocked, boolean filled) {
    public static final DownloadOptions DEFAULT = new DownloadOptions(Form.ORIGINAL, Memory.ONE, true, false, false);

    /** What each file is. */
    public enum Form {
        /** As the client has it. */
        ORIGINAL(""),
        XLIFF_1_2(".xlf"),
        XLIFF_2_1(".xlf"),
        /** Source and target in a table of text. */
        TABLE(".tsv");

        private final String extension;

        Form(String extension) {
            this.extension = extension;
        }

        /** How addresses and the command line know it. */
        public String id() {
            return this == XLIFF_1_2 ? "xliff-1.2" : this == XLIFF_2_1 ? "xliff-2.1" : name().toLowerCase(Locale.ROOT);
        }

        public static Optional<Form> of(String id) {
            return Arrays.stream(values()).filter(each -> each.id().equals(id)).findFirst();
        }

        /** What stands behind the name of the client's file. */
        public String extension() {
            return extension;
        }
    }

    /** Whether the client's memory comes along, whole or the pairs of each file. */
    public enum Memory {
        NONE,
        ONE,
        BY_FILE;

        public String id() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        public static Optional<Memory> of(String id) {
            return Arrays.stream(values()).filter(each -> each.id().equals(id)).findFirst();
        }
    }

    /** As a query of an address. */
    public String query() {
        return new StringJoiner("&")
                .add("form=" + form.id())
                .add("memory=" + memory.id())
                .add("references=" + references)
                .add("locked=" + (editableLocked ? "editable" : "locked"))
                .add("exact=" + (filled ? "filled" : "empty"))
                .toString();
    }
}
