package org.swaplane.release;

import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.swaplane.format.FolderDeletion;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** The pages of a document as pictures, where an office program of this machine can render them. */
public final class PagePictures {
    private static final List<String> PROGRAMS = List.of("soffice", "libreoffice");
    private static final long PATIENCE_SECONDS = 120;
    private static final long POLL_MILLIS = 200;
    private static final int MOST_PAGES = 40;
    private static final float DOTS_PER_INCH = 80;

    private PagePictures() {}

    /** The program that can render; empty where there is none. */
    public static Optional<Path> program() {
        String path = Optional.ofNullable(System.getenv("PATH")).orElse("");
        return PROGRAMS.stream()
                .flatMap(name -> Stream.of(path.split(File.pathSeparator)).map(folder -> Path.of(folder, name)))
                .filter(Files::isExecutable)
                .findFirst();
    }

    /**
     * Renders a document; at most 40 pages.
     *
     * @param folder where the pictures go; what is there is replaced
     * @return the pictures as PNG files, page by page
     * @throws CannotProceedException when no program can render it
     */
    public static List<Path> of(Path document, Path folder, Progress progress) throws IOException {
        Path program = program()
                .orElseThrow(
                        () -> new CannotProceedException(document.getFileName().toString(), "problem.no-pages"));
        FolderDeletion.delete(folder);
        Files.createDirectories(folder);
        // A profile of its own: the person may have the program open.
        Path profile = Files.createDirectory(folder.resolve("profile"));
        Process process = OfflineProgram.start(
                profile,
                List.of(
                        program.toString(),
                        "-env:UserInstallation=" + profile.toUri(),
                        "--headless",
                        "--convert-to",
                        "pdf",
                        "--outdir",
                        folder.toString(),
                        document.toString()));
        try {
            await(process, progress);
        } finally {
            process.destroyForcibly();
            FolderDeletion.delete(profile);
        }
        String name = document.getFileName().toString();
        int dot = name.lastIndexOf('.');
        Path pdf = folder.resolve((dot < 0 ? name : name.substring(0, dot)) + ".pdf");
        if (!Files.exists(pdf)) {
            throw new CannotProceedException(name, "problem.no-pages");
        }
        return pages(pdf, folder, progress);
    }

    private static void await(Process process, Progress progress) throws IOException {
        try {
            for (long left = PATIENCE_SECONDS * 1000; left > 0; left -= POLL_MILLIS) {
                progress.checkCancelled();
                if (process.waitFor(POLL_MILLIS, TimeUnit.MILLISECONDS)) {
                    return;
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    private static List<Path> pages(Path pdf, Path folder, Progress progress) throws IOException {
        List<Path> pages = new ArrayList<>();
        try (PDDocument read = Loader.loadPDF(pdf.toFile())) {
            PDFRenderer renderer = new PDFRenderer(read);
            for (int i = 0; i < Math.min(MOST_PAGES, read.getNumberOfPages()); i++) {
                progress.checkCancelled();
                BufferedImage picture = renderer.renderImageWithDPI(i, DOTS_PER_INCH);
                Path page = folder.resolve("page-" + (i + 1) + ".png");
                ImageIO.write(picture, "png", page.toFile());
                pages.add(page);
            }
        }
        return pages;
    }
}
