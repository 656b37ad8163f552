package org.swaplane.release;

/**
 * A file of a release.
 *
 * @param path in the package, with {@code /} between its parts
 * @param original the client's file that it was made of, with its folder
 * @param bytes of the file
 */
public record ReleasedFile(
        String path,
        String original,
        ReleaseForm form,
        String sourceLanguage,
        String targetLanguage,
        int segments,
        int words,
        long bytes,
        String sha256) {}
