package org.swaplane.bench;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/**
 * Extracting an office document and merging a target for every segment, against opening and saving it with Apache POI. Printed are the
 * time of the work in a fresh virtual machine, the time when it has been done before in the same one, and the smallest heap in which a
 * fresh one does it. Arguments: paragraphs of the text document (default 4500, about 300 pages), cells of the workbook (default
 * 100000), rounds (default 5).
 */
public final class OfficeBench {
    private static final String ONCE = "once";
    private static final int MOST_HEAP = 2048;

    private OfficeBench() {}

    private enum Work {
        SAVED_DOCUMENT("DOCX opened and saved with the library", OfficeBench::savedDocument),
        MERGED_DOCUMENT("DOCX extracted and merged", OfficeBench::merged),
        SAVED_WORKBOOK("XLSX opened and saved with the library", OfficeBench::savedWorkbook),
        MERGED_WORKBOOK("XLSX extracted and merged", OfficeBench::merged);

        private final String words;
        private final Job job;

        Work(String words, Job job) {
            this.words = words;
            this.job = job;
        }

        /** Seconds that it takes. */
        private double take(Path file) throws IOException {
            Path out = Files.createTempFile("swaplane-bench", ".out");
            long start = System.nanoTime();
            try (OutputStream stream = new BufferedOutputStream(Files.newOutputStream(out))) {
                job.run(file, stream);
            } finally {
                Files.delete(out);
            }
            return (System.nanoTime() - start) / 1e9;
        }
    }

    private interface Job {
        void run(Path in, OutputStream out) throws IOException;
    }

    /** Medians in seconds, and megabytes. */
    private record Figures(double fresh, double again, int leastHeap) {}

    public static void main(String[] arguments) throws IOException, InterruptedException {
        if (arguments.length == 3 && arguments[0].equals(ONCE)) {
            System.out.println(Work.valueOf(arguments[1]).take(Path.of(arguments[2])));
            return;
        }
        int paragraphs = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 4_500;
        int cells = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 100_000;
        int rounds = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 5;
        compare(Work.SAVED_DOCUMENT, Work.MERGED_DOCUMENT, OfficeSamples.document(paragraphs), rounds);
        compare(Work.SAVED_WORKBOOK, Work.MERGED_WORKBOOK, OfficeSamples.workbook(cells), rounds);
    }

    private static void compare(Work baseline, Work ours, Path file, int rounds)
            throws IOException, InterruptedException {
        try {
            double[][] fresh = new double[2][rounds];
            double[][] again = new double[2][rounds];
            baseline.take(file);
            ours.take(file);
            for (int round = 0; round < rounds; round++) {
                for (int i = 0; i < 2; i++) {
                    Work work = i == 0 ? baseline : ours;
                    fresh[i][round] = once(work, file, MOST_HEAP).orElseThrow();
                    again[i][round] = work.take(file);
                }
            }
            Figures base = new Figures(median(fresh[0]), median(again[0]), leastHeap(baseline, file));
            report(baseline, base, base);
            report(ours, new Figures(median(fresh[1]), median(again[1]), leastHeap(ours, file)), base);
        } finally {
            Files.delete(file);
        }
    }

    private static void report(Work work, Figures figures, Figures base) {
        System.out.printf(
                Locale.ROOT,
                "%-40s fresh %5.2f s %5.2f times   again %5.2f s %5.2f times   least heap %4d MB %5.2f times%n",
                work.words,
                figures.fresh(),
                figures.fresh() / base.fresh(),
                figures.again(),
                figures.again() / base.again(),
                figures.leastHeap(),
                (double) figures.leastHeap() / base.leastHeap());
    }

    private static double median(double[] seconds) {
        double[] sorted = seconds.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    private static int leastHeap(Work work, Path file) throws IOException, InterruptedException {
        int tooSmall = 4;
        int enough = MOST_HEAP;
        while (enough - tooSmall > 1) {
            int tried = (tooSmall + enough) / 2;
            if (once(work, file, tried).isPresent()) {
                enough = tried;
            } else {
                tooSmall = tried;
            }
        }
        return enough;
    }

    /** Seconds in a fresh virtual machine with so many megabytes of heap; empty when they do not suffice. */
    private static OptionalDouble once(Work work, Path file, int heap) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:+UseSerialGC",
                        "-Xmx" + heap + "m",
                        "-cp",
                        System.getProperty("java.class.path"),
                        OfficeBench.class.getName(),
                        ONCE,
                        work.name(),
                        file.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        // What the library logs comes before it.
        String seconds = printed.substring(printed.lastIndexOf('\n') + 1);
        return process.waitFor() == 0 ? OptionalDouble.of(Double.parseDouble(seconds)) : OptionalDouble.empty();
    }

    private static void merged(Path in, OutputStream out) throws IOException {
        BilingualFile file = FormatRegistry.ofInstalled()
                .open(Source.of(in), FileOptions.ofLanguages("en-GB", "de-DE"), Progress.NONE);
        List<Segment> segments = file.document().segments();
        List<SegmentEdit> edits = new ArrayList<>(segments.size());
        for (int i = 0; i < segments.size(); i++) {
            edits.add(new SegmentEdit(i, segments.get(i).source(), State.TRANSLATED));
        }
        file.write(edits, out, Progress.NONE);
    }

    private static void savedDocument(Path in, OutputStream out) throws IOException {
        try (InputStream bytes = Files.newInputStream(in);
                XWPFDocument document = new XWPFDocument(bytes)) {
            document.write(out);
        }
    }

    private static void savedWorkbook(Path in, OutputStream out) throws IOException {
        try (InputStream bytes = Files.newInputStream(in);
                XSSFWorkbook workbook = new XSSFWorkbook(bytes)) {
            workbook.write(out);
        }
    }
}
