package org.swaplane.wording;

import static org.swaplane.wording.Wording.text;

import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.util.regex.Pattern;

/** What went wrong outside the program, as one line for people: without names of classes, and with a remedy where the cause is a common one. */
public final class Reason {
    private static final Pattern CLASS_NAME =
            Pattern.compile("(?:\\b[a-z][A-Za-z0-9_]*\\.)*\\b[A-Z][A-Za-z0-9$]*(?:Exception|Error)\\b:?\\s*");
    /** What parsers say of a place that has no name. */
    private static final Pattern PLACE = Pattern.compile("\\s*at \\[row,col[^\\]]*\\]:?\\s*(?:\\[[0-9,]*\\])?");

    private static final int PICTURES = 0x2400;
    private static final int DELETE = 0x7F;
    private static final int PICTURE_OF_DELETE = 0x2421;
    private static final int UNKNOWN = 0xFFFD;

    private Reason() {}

    /** Of a failure. */
    public static String of(Throwable failure) {
        if (failure instanceof NoSuchFileException missing) {
            return text("reason.no-file", missing.getFile());
        }
        if (failure instanceof AccessDeniedException denied) {
            return text("reason.no-access", denied.getFile());
        }
        if (failure instanceof InvalidPathException invalid) {
            return text("reason.name", shown(invalid.getInput()));
        }
        String said = said(failure);
        if (speaksOfFullDisk(said)) {
            return failure instanceof FileSystemException of && of.getFile() != null
                    ? text("reason.disk-full-at", of.getFile())
                    : text("reason.disk-full");
        }
        return said;
    }

    /** Whether there is no room left, which is no fault of a file. */
    public static boolean isFullDisk(Throwable failure) {
        return speaksOfFullDisk(String.valueOf(failure.getMessage()));
    }

    private static boolean speaksOfFullDisk(String said) {
        return said.contains("No space left") || said.contains("not enough space") || said.contains("Disk quota");
    }

    private static String said(Throwable failure) {
        String message = failure.getMessage();
        if (message == null && failure.getCause() != null && failure.getCause() != failure) {
            return said(failure.getCause());
        }
        String line = message == null ? "" : message.lines().findFirst().orElse("");
        String clean = PLACE.matcher(CLASS_NAME.matcher(line).replaceAll(""))
                .replaceAll("")
                .strip();
        return shown(clean.isEmpty() ? text("reason.unknown") : clean);
    }

    /** On one line: control characters, which would turn a line or steer a terminal, as the pictures that Unicode has for them. */
    public static String shown(String text) {
        if (text.chars().noneMatch(Character::isISOControl)) {
            return text;
        }
        StringBuilder shown = new StringBuilder(text.length());
        text.codePoints().forEach(c -> {
            if (c < ' ') {
                shown.appendCodePoint(PICTURES + c);
            } else if (c == DELETE) {
                shown.appendCodePoint(PICTURE_OF_DELETE);
            } else {
                shown.appendCodePoint(Character.isISOControl(c) ? UNKNOWN : c);
            }
        });
        return shown.toString();
    }
}
