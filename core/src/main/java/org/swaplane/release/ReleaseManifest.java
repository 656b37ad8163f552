package org.swaplane.release;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.OutputStream;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.report.CsvTable;

/** The list of a package's files that goes along with them. */
public final class ReleaseManifest {
    private static final ObjectMapper JSON = new ObjectMapper();

    private ReleaseManifest() {}

    /** Its name in the package. */
    public static String name(ReleaseOptions.Manifest form) {
        return form == ReleaseOptions.Manifest.CSV ? "manifest.csv" : "manifest.json";
    }

    /** Writes it in the order of the files. */
    public static void write(ReleaseOptions.Manifest form, List<ReleasedFile> files, OutputStream out)
            throws IOException {
        if (form == ReleaseOptions.Manifest.CSV) {
            writeCsv(files, out);
        } else {
            out.write(JSON.writerWithDefaultPrettyPrinter()
                    .writeValueAsBytes(Map.of(
                            "files", files.stream().map(ReleaseManifest::values).toList())));
        }
    }

    private static void writeCsv(List<ReleasedFile> files, OutputStream out) throws IOException {
        CsvTable table = new CsvTable(out);
        table.row(List.of("path", "original", "form", "source", "target", "segments", "words", "bytes", "sha256"));
        for (ReleasedFile file : files) {
            table.row(List.copyOf(values(file).values()));
        }
        table.flush();
    }

    private static Map<String, Object> values(ReleasedFile file) {
        Map<String, Object> values = new LinkedHashMap<>();
        values.put("path", file.path());
        values.put("original", file.original());
        values.put("form", file.form().id());
        values.put("source", file.sourceLanguage());
        values.put("target", file.targetLanguage());
        values.put("segments", file.segments());
        values.put("words", file.words());
        values.put("bytes", file.bytes());
        values.put("sha256", file.sha256());
        return values;
    }
}
