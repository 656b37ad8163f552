package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.swaplane.check.CheckMaterial;
import org.swaplane.check.Profile;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.terms.NewTbx;
import org.swaplane.terms.NewTermTable;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermCandidates;
import org.swaplane.terms.TermIndex;
import org.swaplane.terms.TermList;
import org.swaplane.terms.TermListReader;

/** The terms of the lane's lists, found in its sources; new ones go into a list of its own, which is TBX. */
public final class LaneTerms {
    private static final String OWN = "reference/terms.tbx";

    private final Path folder;
    private final LaneSettings settings;
    private final Map<String, TermIndex> indexes = new HashMap<>();
    private List<String> read = List.of();

    LaneTerms(Path folder, LaneSettings settings) {
        this.folder = folder;
        this.settings = settings;
    }

    /** The terms of a segment's source, in the order of the text. */
    public synchronized List<TermIndex.Found> in(TrackSnapshot track, int index) throws IOException {
        Profile profile = settings.profile();
        List<String> now = stamps(profile);
        if (!now.equals(read)) {
            indexes.clear();
            read = now;
        }
        String source = track.sourceLanguage(index);
        String target = track.targetLanguage(index);
        String languages = source + ' ' + target;
        TermIndex terms = indexes.get(languages);
        if (terms == null) {
            List<Term> all = new ArrayList<>();
            for (TermList list : CheckMaterial.read(profile.withDictionaries(Map.of()), folder)
                    .terms()) {
                list.between(source, target).stream()
                        .filter(term -> !term.source().isEmpty())
                        .forEach(all::add);
            }
            terms = new TermIndex(all, source);
            indexes.put(languages, terms);
        }
        return terms.find(track.segment(index).source().plainText());
    }

    /** Which lists there are, and of when: one that somebody edits outside is read anew. */
    private List<String> stamps(Profile profile) throws IOException {
        List<String> stamps = new ArrayList<>();
        for (String name : profile.terms()) {
            Path path = folder.resolve(name);
            stamps.add(name + ' ' + (Files.exists(path) ? Files.getLastModifiedTime(path) : ""));
        }
        return stamps;
    }

    /**
     * A term of one of the lane's lists.
     *
     * @param list the file that it stands in, in the lane's folder
     * @param own whether it is the list that the lane keeps itself, which can be changed
     */
    public record Listed(String list, boolean own, Term term) {}

    /** All terms from one language into another, list by list. */
    public synchronized List<Listed> all(String sourceLanguage, String targetLanguage) throws IOException {
        List<Listed> all = new ArrayList<>();
        for (String name : settings.profile().terms()) {
            TermList list = TermListReader.read(Source.of(folder.resolve(name)));
            list.between(sourceLanguage, targetLanguage).stream()
                    .filter(term -> !term.source().isEmpty())
                    .forEach(term -> all.add(new Listed(name, name.equals(OWN), term)));
        }
        return all;
    }

    /** Words of the tracks into a language that may be terms and are in no list; what stands in them most first. */
    public List<TermCandidates.Candidate> candidates(
            List<TrackSnapshot> tracks, String sourceLanguage, String targetLanguage, int least, int most)
            throws IOException {
        TermCandidates candidates = new TermCandidates(sourceLanguage);
        Set<String> seen = new HashSet<>();
        for (TrackSnapshot track : tracks) {
            for (int i = 0; i < track.size(); i++) {
                String text = track.segment(i).source().plainText();
                if (seen.add(text)) {
                    candidates.add(text);
                }
            }
        }
        Set<String> known = new HashSet<>();
        all(sourceLanguage, targetLanguage)
                .forEach(listed -> known.add(listed.term().source()));
        return candidates.best(least, most, known);
    }

    /** Adds a term to the lane's own list; checks ask for it from now on. */
    public void add(String sourceLanguage, String targetLanguage, String source, String target, boolean forbidden)
            throws IOException {
        List<String> targets = List.of(target);
        add(
                sourceLanguage,
                targetLanguage,
                new Term(source, forbidden ? List.of() : targets, forbidden ? targets : List.of()));
    }

    /** The same with all that there is to be said of it. */
    public synchronized void add(String sourceLanguage, String targetLanguage, Term term) throws IOException {
        List<TermList.Entry> entries = new ArrayList<>(own());
        entries.add(entry(term, sourceLanguage, targetLanguage));
        keep(entries);
    }

    /** Gives a term of the lane's own list other wordings, in the languages that it is in there; without any, it is taken out. */
    public synchronized void change(Listed before, Term after, String targetLanguage) throws IOException {
        List<TermList.Entry> entries = new ArrayList<>();
        boolean written = false;
        for (TermList.Entry entry : own()) {
            List<TermList.Wording> others = entry.wordings().stream()
                    .filter(each -> !isOf(each, targetLanguage))
                    .toList();
            boolean meant = entry.wordings().stream().anyMatch(each -> isOf(each, targetLanguage))
                    && others.stream()
                            .anyMatch(each -> each.text().equals(before.term().source()));
            if (!meant) {
                entries.add(entry);
                continue;
            }
            List<TermList.Wording> wordings = new ArrayList<>(others);
            if (!written) {
                wordings.addAll(wordings(after, targetLanguage));
                written = true;
            }
            if (wordings.size() > 1) {
                boolean removed =
                        after.preferred().isEmpty() && after.forbidden().isEmpty();
                entries.add(new TermList.Entry(wordings, removed ? entry.explanation() : after.explanation()));
            }
        }
        keep(entries);
    }

    /** A region more or less is the same language. */
    private static boolean isOf(TermList.Wording wording, String language) {
        return Locale.forLanguageTag(wording.language())
                .getLanguage()
                .equals(Locale.forLanguageTag(language).getLanguage());
    }

    private List<TermList.Entry> own() throws IOException {
        Path own = folder.resolve(OWN);
        return Files.exists(own) ? TermListReader.read(Source.of(own)).entries() : List.of();
    }

    private void keep(List<TermList.Entry> entries) throws IOException {
        Path own = folder.resolve(OWN);
        List<String> lists = new ArrayList<>(settings.profile().terms());
        if (entries.isEmpty()) {
            // A list without terms is none.
            Files.deleteIfExists(own);
            lists.remove(OWN);
        } else {
            Files.createDirectories(own.getParent());
            TermList list = new TermList(settings.name(), entries);
            NewFile.write(own, true, out -> NewTbx.write(list, out));
            if (!lists.contains(OWN)) {
                lists.add(OWN);
            }
        }
        // Also where the list was there already: whoever follows the profile reads it again.
        LaneWriter.await(settings.setProfile(settings.profile().withTerms(lists)));
        read = List.of();
    }

    /** Writes terms from one language into another, by the extension of the file as TBX, a workbook or delimited text. */
    public void export(List<Term> terms, String sourceLanguage, String targetLanguage, Path file) throws IOException {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        NewFile.write(file, true, out -> {
            if (name.endsWith(".tbx")) {
                NewTbx.write(list(terms, sourceLanguage, targetLanguage), out);
            } else if (name.endsWith(".xlsx")) {
                NewTermTable.writeXlsx(terms, sourceLanguage, targetLanguage, out);
            } else {
                NewTermTable.writeCsv(terms, sourceLanguage, targetLanguage, out);
            }
        });
    }

    private TermList list(List<Term> terms, String sourceLanguage, String targetLanguage) {
        return new TermList(
                settings.name(),
                terms.stream()
                        .map(term -> entry(term, sourceLanguage, targetLanguage))
                        .toList());
    }

    private static TermList.Entry entry(Term term, String sourceLanguage, String targetLanguage) {
        List<TermList.Wording> wordings = new ArrayList<>();
        wordings.add(new TermList.Wording(sourceLanguage, term.source(), false));
        wordings.addAll(wordings(term, targetLanguage));
        return new TermList.Entry(wordings, term.explanation());
    }

    private static List<TermList.Wording> wordings(Term term, String targetLanguage) {
        List<TermList.Wording> wordings = new ArrayList<>();
        term.preferred().forEach(text -> wordings.add(new TermList.Wording(targetLanguage, text, false)));
        term.forbidden().forEach(text -> wordings.add(new TermList.Wording(targetLanguage, text, true)));
        return wordings;
    }
}
