package org.swaplane.bench;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
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
 * Extracting an office document and merging a target for every segment, against opening and saving it with Apache POI, in turn in the
 * same run. Arguments: paragraphs of the text document (default 4500, about 300 pages), cells of the workbook (default 100000), rounds
 * (default 5).
 */
public final class OfficeBench {
    private OfficeBench() {}

    private interface Work {
        void run(Path in, OutputStream out) throws IOException;
    }

    /** Median of the times in seconds, and the largest heap above what was live before in MB. */
    private record Taken(double seconds, double heap) {}

    public static void main(String[] arguments) throws IOException {
        int paragraphs = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 4_500;
        int cells = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 100_000;
        int rounds = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 5;
        compare(
                "DOCX, " + paragraphs + " paragraphs",
                OfficeSamples.document(paragraphs),
                OfficeBench::savedDocument,
                rounds);
        compare("XLSX, " + cells + " cells", OfficeSamples.workbook(cells), OfficeBench::savedWorkbook, rounds);
    }

    private static void compare(String what, Path file, Work saved, int rounds) throws IOException {
        try {
            List<Work> both = List.of(saved, OfficeBench::merged);
            double[][] seconds = new double[both.size()][rounds];
            double[] heap = new double[both.size()];
            for (int round = -1; round < rounds; round++) {
                for (int i = 0; i < both.size(); i++) {
                    Taken taken = take(both.get(i), file);
                    if (round >= 0) {
                        seconds[i][round] = taken.seconds();
                        heap[i] = Math.max(heap[i], taken.heap());
                    }
                }
            }
            double baseline = median(seconds[0]);
            System.out.printf(Locale.ROOT, "%s, %.1f MB%n", what, Files.size(file) / 1e6);
            report("open and save with the library", baseline, baseline, heap[0], heap[0]);
            report("extract and merge", median(seconds[1]), baseline, heap[1], heap[0]);
        } finally {
            Files.delete(file);
        }
    }

    private static void report(String what, double seconds, double baseline, double heap, double baselineHeap) {
        System.out.printf(
                Locale.ROOT,
                "%-32s %6.2f s  %4.2f times   peak heap %6.0f MB  %4.2f times%n",
                what,
                seconds,
                seconds / baseline,
                heap,
                heap / baselineHeap);
    }

    private static double median(double[] seconds) {
        double[] sorted = seconds.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    private static Taken take(Work work, Path file) throws IOException {
        System.gc();
        List<MemoryPoolMXBean> pools = ManagementFactory.getMemoryPoolMXBeans().stream()
                .filter(pool -> pool.getType() == MemoryType.HEAP)
                .toList();
        pools.forEach(MemoryPoolMXBean::resetPeakUsage);
        long before =
                pools.stream().mapToLong(pool -> pool.getUsage().getUsed()).sum();
        Path out = Files.createTempFile("swaplane-bench", ".out");
        long start = System.nanoTime();
        try (OutputStream stream = new BufferedOutputStream(Files.newOutputStream(out))) {
            work.run(file, stream);
        } finally {
            Files.delete(out);
        }
        double seconds = (System.nanoTime() - start) / 1e9;
        long peak =
                pools.stream().mapToLong(pool -> pool.getPeakUsage().getUsed()).sum();
        return new Taken(seconds, (peak - before) / 1e6);
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
