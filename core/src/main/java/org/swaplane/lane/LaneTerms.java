package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.check.CheckMaterial;
import org.swaplane.check.Profile;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.terms.NewTbx;
import org.swaplane.terms.Term;
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

    /** Adds a term to the lane's own list; checks ask for it from now on. */
    public synchronized void add(
            String sourceLanguage, String targetLanguage, String source, String target, boolean forbidden)
            throws IOException {
        Path own = folder.resolve(OWN);
        List<TermList.Entry> entries = new ArrayList<>();
        if (Files.exists(own)) {
            entries.addAll(TermListReader.read(Source.of(own)).entries());
        }
        entries.add(new TermList.Entry(List.of(
                new TermList.Wording(sourceLanguage, source, false),
                new TermList.Wording(targetLanguage, target, forbidden))));
        Files.createDirectories(own.getParent());
        TermList list = new TermList(settings.name(), entries);
        NewFile.write(own, true, out -> NewTbx.write(list, out));
        Profile profile = settings.profile();
        List<String> lists = new ArrayList<>(profile.terms());
        if (!lists.contains(OWN)) {
            lists.add(OWN);
        }
        // Also where the list was there already: whoever follows the profile reads it again.
        LaneWriter.await(settings.setProfile(profile.withTerms(lists)));
        read = List.of();
    }
}
