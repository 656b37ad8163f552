package org.swaplane.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.check.CheckRun;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SafeXml;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.proof.DryRun;
import org.swaplane.task.Progress;

/**
 * Reading a file, saving one change, checking it and its dry run, against a bare parser pass over the same file that touches all text; and reading a
 * file of a quarter the size, to see how the time grows. Arguments: format (XLIFF_12, XLIFF_2 or TMX; default XLIFF_12), number of
 * units (default 50000), rounds (default 5).
 */
public final class FormatBench {
    private FormatBench() {}

    private interface Work {
        void run() throws IOException, XMLStreamException;
    }

    public static void main(String[] arguments) throws IOException, XMLStreamException {
        GeneratedFile format = GeneratedFile.valueOf(arguments.length > 0 ? arguments[0] : "XLIFF_12");
        int units = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 50_000;
        int rounds = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 5;
        Path file = format.write(units);
        Path quarter = format.write(units / 4);
        try {
            Source source = Source.of(file);
            FormatRegistry formats = FormatRegistry.ofInstalled();
            System.out.printf(Locale.ROOT, "%s, %d units, %.1f MB%n", format, units, Files.size(file) / 1e6);
            double bare = median(rounds, () -> barePass(source));
            report("bare parser pass", bare, bare);
            double reading = median(rounds, () -> formats.open(source, Progress.NONE));
            report("read", reading, bare);
            double quarterReading = median(rounds, () -> formats.open(Source.of(quarter), Progress.NONE));
            System.out.printf(Locale.ROOT, "four times the file takes %.2f times as long%n", reading / quarterReading);
            BilingualFile read = formats.open(source, Progress.NONE);
            List<SegmentEdit> edit = List.of(new SegmentEdit(units / 2, Content.of("neu"), State.REVIEWED));
            report(
                    "save one change",
                    median(rounds, () -> read.write(edit, OutputStream.nullOutputStream(), Progress.NONE)),
                    bare);
            CheckRun checks = CheckRun.ofAllChecks();
            report("all checks", median(rounds, () -> checks.run(read.document(), Progress.NONE)), bare);
            reportDryRun(formats, read, source, reading, rounds);
            reportHeap(read, file);
        } finally {
            Files.delete(file);
            Files.delete(quarter);
        }
    }

    private static void barePass(Source source) throws IOException, XMLStreamException {
        XMLStreamReader xml =
                SafeXml.factory().createXMLStreamReader(EncodedText.of(source).open());
        long characters = 0;
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.CHARACTERS) {
                characters += xml.getText().length();
            }
        }
        if (characters == 0) {
            throw new IllegalStateException("the file has no text");
        }
    }

    private static double median(int rounds, Work work) throws IOException, XMLStreamException {
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

    private static void report(String what, double seconds, double baseline) {
        System.out.printf(
                Locale.ROOT, "%-20s %7.3f s   %5.2f times the bare pass%n", what, seconds, seconds / baseline);
    }

    /** As a ratio to reading, since a dry run reads twice and writes four times. */
    private static void reportDryRun(
            FormatRegistry formats, BilingualFile read, Source source, double reading, int rounds)
            throws IOException, XMLStreamException {
        DryRun dryRun = DryRun.withDefaults(formats);
        Path output = Files.createTempFile("swaplane-bench", ".out");
        try {
            double pseudo = median(rounds, () -> dryRun.pseudoEdits(read.document()));
            double all = median(rounds, () -> dryRun.run(source, FileOptions.NONE, output, Progress.NONE));
            System.out.printf(
                    Locale.ROOT,
                    "pseudo-translation %.3f s, %.2f times reading; with all proofs %.3f s, %.2f times reading%n",
                    pseudo,
                    pseudo / reading,
                    all,
                    all / reading);
        } finally {
            Files.delete(output);
        }
    }

    private static void reportHeap(BilingualFile open, Path file) throws IOException {
        System.gc();
        Runtime runtime = Runtime.getRuntime();
        double live = runtime.totalMemory() - runtime.freeMemory();
        System.out.printf(
                Locale.ROOT,
                "live heap with the file open: %.1f MB, %.2f times the file (%d segments)%n",
                live / 1e6,
                live / Files.size(file),
                open.document().segments().size());
    }
}
