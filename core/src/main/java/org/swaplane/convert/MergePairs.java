package org.swaplane.convert;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Client documents and the bilingual files that were made of them, told apart and brought together by their texts. */
public final class MergePairs {
    private static final double LEAST_SHARE = 0.5;

    private final FormatRegistry formats;
    private final DocumentOptions how;
    private final List<Source> documents = new ArrayList<>();
    private final List<Source> bilinguals = new ArrayList<>();
    private final List<BilingualDocument> translated = new ArrayList<>();
    /** The words of each document's texts. */
    private final Map<Source, Set<String>> texts = new HashMap<>();

    /**
     * Reads all files.
     *
     * @throws CannotProceedException when one cannot be read
     */
    public MergePairs(FormatRegistry formats, List<Source> files, DocumentOptions how, Progress progress)
            throws IOException {
        this.formats = formats;
        this.how = how;
        for (Source file : files) {
            progress.checkCancelled();
            BilingualFile read = formats.open(file, FileOptions.NONE.with(how), progress);
            if (read instanceof DocumentFile) {
                documents.add(file);
                Set<String> here = new HashSet<>();
                read.document()
                        .segments()
                        .forEach(segment -> here.addAll(words(segment.source().plainText())));
                texts.put(file, here);
            } else {
                bilinguals.add(file);
                translated.add(read.document());
            }
        }
    }

    /**
     * Each bilingual file with its document; empty for one that belongs to none of them.
     *
     * @throws CannotProceedException when there is nothing to bring together
     */
    public Map<Source, Optional<Source>> pairs() {
        if (documents.isEmpty() || bilinguals.isEmpty()) {
            throw new CannotProceedException("", "problem.merge-kinds");
        }
        Map<Source, Optional<Source>> pairs = new LinkedHashMap<>();
        for (int i = 0; i < bilinguals.size(); i++) {
            pairs.put(bilinguals.get(i), documentOf(translated.get(i)));
        }
        return pairs;
    }

    /** The target document of a pair. */
    public Merge merge(Source document, Source bilingual, Progress progress) throws IOException {
        return new Merge(formats, document, how, bilingual, progress);
    }

    /** The language into which a bilingual file goes. */
    public String targetLanguage(Source bilingual) {
        return translated.get(bilinguals.indexOf(bilingual)).targetLanguage();
    }

    /** The document that shares most words with it, at least most of them; of several, the one that the file names. */
    private Optional<Source> documentOf(BilingualDocument file) {
        Set<String> words = new HashSet<>();
        file.segments().forEach(segment -> words.addAll(words(segment.source().plainText())));
        List<String> names = file.parts().stream().map(Part::name).toList();
        Source best = null;
        double most = 0;
        for (Source document : documents) {
            Set<String> shared = new HashSet<>(words);
            shared.retainAll(texts.get(document));
            Set<String> all = new HashSet<>(words);
            all.addAll(texts.get(document));
            double share = all.isEmpty() ? 0 : (double) shared.size() / all.size();
            boolean named = names.stream().anyMatch(name -> name.endsWith(document.name()));
            if (share > most || share == most && share > 0 && named) {
                best = document;
                most = share;
            }
        }
        return most > LEAST_SHARE ? Optional.of(best) : Optional.empty();
    }

    private static List<String> words(String text) {
        return List.of(text.strip().split("\\s+"));
    }
}
