package org.swaplane.lane;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;
import org.swaplane.terms.NewTermTable;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermIndex;
import org.swaplane.terms.TermListReader;

/** All that a recipient needs in one zip: the copies, the instructions, the terms that occur in them, and the reference files of the lane. */
public final class CopyPackage {
    private final Lane lane;

    public CopyPackage(Lane lane) {
        this.lane = lane;
    }

    /**
     * Writes the package for one recipient beside the copies.
     *
     * @param sent the copies for this person
     */
    public Path write(List<CopyExport.Sent> sent, SendRequest request, Progress progress) throws IOException {
        Path first = sent.get(0).file();
        String name = first.getFileName().toString();
        Path zip = lane.free("sent", name.substring(0, name.lastIndexOf('.')) + ".zip");
        List<Term> terms = terms(sent, progress);
        NewFile.write(zip, false, out -> write(sent, request, terms, out, progress));
        return zip;
    }

    private void write(
            List<CopyExport.Sent> sent, SendRequest request, List<Term> terms, OutputStream out, Progress progress)
            throws IOException {
        Set<Path> copies = new LinkedHashSet<>();
        sent.forEach(each -> copies.add(each.file()));
        ZipOutputStream zip = new ZipOutputStream(new BufferedOutputStream(out), StandardCharsets.UTF_8);
        Set<String> names = new HashSet<>();
        for (Path copy : copies) {
            progress.checkCancelled();
            add(zip, names, copy.getFileName().toString(), copy);
        }
        if (!request.instructions().isEmpty()) {
            zip.putNextEntry(new ZipEntry("instructions.txt"));
            zip.write((String.join("\n", request.instructions()) + "\n").getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
        if (!terms.isEmpty()) {
            zip.putNextEntry(new ZipEntry("terms.csv"));
            NewTermTable.writeCsv(terms, "source", "target", zip);
            zip.closeEntry();
        }
        for (Path file : references()) {
            progress.checkCancelled();
            add(zip, names, "reference/" + file.getFileName(), file);
        }
        zip.finish();
        zip.flush();
    }

    private static void add(ZipOutputStream zip, Set<String> names, String name, Path file) throws IOException {
        if (names.add(name)) {
            zip.putNextEntry(new ZipEntry(name));
            Files.copy(file, zip);
            zip.closeEntry();
        }
    }

    /** Without the term lists, of which the package holds what is needed, and without memories, which are the lane's own business. */
    private List<Path> references() throws IOException {
        Path folder = lane.folder().resolve("reference");
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        Set<Path> lists = new HashSet<>();
        lane.settings()
                .profile()
                .terms()
                .forEach(each -> lists.add(lane.folder().resolve(each).normalize()));
        List<Path> references = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                if (!lists.contains(file.normalize()) && !lane.formats().isMemory(Source.of(file))) {
                    references.add(file);
                }
            }
        }
        return references;
    }

    /** The terms of the lane's lists that occur in the sources of the tracks. */
    private List<Term> terms(List<CopyExport.Sent> sent, Progress progress) throws IOException {
        Set<Term> found = new LinkedHashSet<>();
        for (CopyExport.Sent each : sent) {
            TrackSnapshot track = lane.track(each.trip().track()).now();
            if (track.size() == 0) {
                continue;
            }
            TermIndex index =
                    new TermIndex(all(track.sourceLanguage(0), track.targetLanguage(0)), track.sourceLanguage(0));
            for (int i = 0; i < track.size(); i++) {
                progress.checkCancelled();
                index.find(track.segment(i).source().plainText()).forEach(hit -> found.add(hit.term()));
            }
        }
        return List.copyOf(found);
    }

    private List<Term> all(String source, String target) throws IOException {
        List<Term> terms = new ArrayList<>();
        for (String list : lane.settings().profile().terms()) {
            Source file = Source.of(lane.folder().resolve(list));
            terms.addAll(TermListReader.read(file).between(source, target));
        }
        return terms;
    }
}
