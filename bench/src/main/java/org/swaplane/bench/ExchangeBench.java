package org.swaplane.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.swaplane.convert.CopyConversion;
import org.swaplane.convert.CopyOptions;
import org.swaplane.convert.CopyReturn;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormat;
import org.swaplane.reviewcopy.ReviewCopyFormats;
import org.swaplane.task.Progress;

/**
 * Writing a review copy of a bilingual file, and reading it again with recognition, against reading the file itself in the same run.
 * Arguments: number of rows (default 100000, or as many as the form may have), rounds (default 3).
 */
public final class ExchangeBench {
    private ExchangeBench() {}

    private interface Work {
        void run() throws IOException;
    }

    public static void main(String[] arguments) throws IOException {
        int rows = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 100_000;
        int rounds = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 3;
        FormatRegistry formats = FormatRegistry.ofInstalled();
        for (ReviewCopyFormat form : ReviewCopyFormats.ofInstalled().all()) {
            int most = Math.min(rows, form.mostRows());
            Path file = GeneratedFile.XLIFF_12.write(most);
            try {
                double reading = median(rounds, () -> formats.open(Source.of(file), Progress.NONE));
                System.out.printf(Locale.ROOT, "%-5s %d rows, read in %.2f s: ", form.extension(), most, reading);
                measure(file, form, formats, rounds, reading);
            } finally {
                Files.delete(file);
            }
        }
    }

    private static void measure(Path file, ReviewCopyFormat form, FormatRegistry formats, int rounds, double reading)
            throws IOException {
        CopyConversion conversion = new CopyConversion(formats, FileOptions.NONE, CopyOptions.ALL);
        Path copy = Files.createTempFile("swaplane-bench", '.' + form.extension());
        try {
            double writing = median(rounds, () -> {
                List<ReviewCopy> copies = conversion.copies(List.of(file), form.mostRows(), Progress.NONE);
                try (OutputStream out = Files.newOutputStream(copy)) {
                    form.write(copies.get(0), out);
                }
            });
            CopyReturn back = new CopyReturn(formats, CopyReturn.Accepting.SAFE);
            double returning =
                    median(rounds, () -> back.read(List.of(Source.of(file)), Source.of(copy), Progress.NONE));
            System.out.printf(
                    Locale.ROOT,
                    "copy %.2f times reading, back %.2f times reading (%.1f MB)%n",
                    writing / reading,
                    returning / reading,
                    Files.size(copy) / 1e6);
        } finally {
            Files.delete(copy);
        }
    }

    private static double median(int rounds, Work work) throws IOException {
        work.run();
        double[] seconds = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            long start = System.nanoTime();
            work.run();
            seconds[i] = (System.nanoTime() - start) / 1e9;
        }
        Arrays.sort(seconds);
        return seconds[rounds / 2];
    }
}
