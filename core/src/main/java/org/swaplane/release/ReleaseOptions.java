package org.swaplane.release;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import org.swaplane.task.CannotProceedException;

/**
 * What a client wants to get, and how: a lane's, kept under a name by a person for other lanes.
 *
 * @param outputs each chosen file leaves in each of these forms
 * @param languageCodes what the client calls languages: {@code de-DE} to {@code ger}; others keep their own code
 * @param packageName pattern of the zip's name without its extension, or of the folder's
 */
public record ReleaseOptions(
        List<Output> outputs,
        SortedMap<String, String> languageCodes,
        Packing packing,
        String packageName,
        Manifest manifest) {
    private static final ObjectMapper JSON =
            new ObjectMapper().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);

    public static final ReleaseOptions DEFAULT = new ReleaseOptions(
            List.of(new Output(ReleaseForm.FILE, "", "{path}")),
            new TreeMap<>(),
            Packing.FOLDER,
            "release-{release}",
            Manifest.NONE);

    /** Where the files go: a new folder with nothing else in it, or a zip. */
    public enum Packing {
        FOLDER,
        ZIP
    }

    /** A list of the files that goes along with them. */
    public enum Manifest {
        NONE,
        CSV,
        JSON
    }

    /**
     * One form with where it goes.
     *
     * @param names pattern of file names; empty for the lane's
     * @param folders pattern of folders, parted by {@code /}; empty for none
     */
    public record Output(ReleaseForm form, String names, String folders) {}

    public ReleaseOptions {
        outputs = List.copyOf(outputs);
        languageCodes = new TreeMap<>(languageCodes);
    }

    /** The client's code of a language. */
    public String code(String language) {
        return languageCodes.getOrDefault(language, language);
    }

    public ReleaseOptions withOutputs(List<Output> others) {
        return new ReleaseOptions(others, languageCodes, packing, packageName, manifest);
    }

    public ReleaseOptions packed(Packing other, String name, Manifest otherManifest) {
        return new ReleaseOptions(outputs, languageCodes, other, name, otherManifest);
    }

    /**
     * The same with other codes, written as {@code de-DE=ger fr-FR=fre}, parted by spaces, commas or lines.
     *
     * @throws CannotProceedException when a part has no equals sign with something on both sides
     */
    public ReleaseOptions withCodes(String written) {
        SortedMap<String, String> codes = new TreeMap<>();
        for (String part : written.split("[\\s,;]+")) {
            int equals = part.indexOf('=');
            if (equals > 0 && equals < part.length() - 1) {
                codes.put(part.substring(0, equals), part.substring(equals + 1));
            } else if (!part.isEmpty()) {
                throw new CannotProceedException(part, "problem.language-codes");
            }
        }
        return new ReleaseOptions(outputs, codes, packing, packageName, manifest);
    }

    /** The codes as {@link #withCodes} reads them. */
    public String writtenCodes() {
        StringBuilder written = new StringBuilder();
        languageCodes.forEach((language, code) -> written.append(written.isEmpty() ? "" : " ")
                .append(language)
                .append('=')
                .append(code));
        return written.toString();
    }

    public String toJson() {
        try {
            return JSON.writeValueAsString(this);
        } catch (JsonProcessingException e) {
            throw new AssertionError("values only", e);
        }
    }

    /**
     * Reads what {@link #toJson} wrote.
     *
     * @throws CannotProceedException when it is something else
     */
    public static ReleaseOptions parse(String json) {
        try {
            return JSON.readValue(json, ReleaseOptions.class);
        } catch (JsonProcessingException e) {
            throw new CannotProceedException(json, "problem.release-options");
        }
    }
}
