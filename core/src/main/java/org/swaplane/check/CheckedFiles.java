package org.swaplane.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.task.Progress;

/** Files that are checked together: what is inconsistent is looked for across all files of a language pair, and stands in each that has part in it. */
public final class CheckedFiles {
    private static final Set<String> INCONSISTENT = Set.of(SameSources.ID, SameTargets.ID);

    private final CheckRun checks;
    private final List<BilingualDocument> documents;
    private final List<List<Located>> found = new ArrayList<>();

    /**
     * A segment of one of the files.
     *
     * @param file its number in their order
     */
    public record Place(int file, int segment) {}

    /**
     * A finding.
     *
     * @param others the other segments that have part in an inconsistency; none for other findings
     */
    public record Located(Finding finding, List<Place> others) {}

    private CheckedFiles(CheckRun checks, List<BilingualDocument> documents) {
        this.checks = checks;
        this.documents = documents;
        documents.forEach(document -> found.add(new ArrayList<>()));
    }

    /** The findings of each file, in the order of its segments. */
    public static List<List<Located>> check(CheckRun checks, List<BilingualDocument> documents, Progress progress) {
        CheckedFiles files = new CheckedFiles(checks, documents);
        Map<String, List<Integer>> byLanguages = new LinkedHashMap<>();
        for (int i = 0; i < documents.size(); i++) {
            BilingualDocument document = documents.get(i);
            String pair = document.sourceLanguage() + '>' + document.targetLanguage();
            byLanguages
                    .computeIfAbsent(pair.toLowerCase(Locale.ROOT), none -> new ArrayList<>())
                    .add(i);
        }
        byLanguages.values().forEach(group -> files.new Group(group).check(progress));
        return files.found;
    }

    /** The files of one language pair, with their segments in one row. */
    private final class Group {
        private final List<Place> places = new ArrayList<>();
        private final DocumentCheck check;

        Group(List<Integer> files) {
            for (int file : files) {
                for (int i = 0; i < documents.get(file).segments().size(); i++) {
                    places.add(new Place(file, i));
                }
            }
            check = checks.over(places.size(), this::segment);
        }

        private CheckedSegment segment(int position) {
            Place place = places.get(position);
            BilingualDocument document = documents.get(place.file());
            Segment segment = document.segments().get(place.segment());
            Part part = document.parts().get(segment.part());
            // Numbered as in its own file.
            return new CheckedSegment(
                    place.segment(), segment, segment.target(), part.sourceLanguage(), part.targetLanguage());
        }

        void check(Progress progress) {
            Map<Integer, List<Finding>> all = new LinkedHashMap<>();
            check.run(progress, all::put);
            List.copyOf(all.entrySet()).forEach(each -> each.getValue().stream()
                    .filter(finding -> INCONSISTENT.contains(finding.check()))
                    .forEach(finding -> addToOtherFiles(each.getKey(), finding, all)));
            for (int position = 0; position < places.size(); position++) {
                for (Finding finding : all.getOrDefault(position, List.of())) {
                    found.get(places.get(position).file()).add(new Located(finding, others(position, finding.check())));
                }
            }
        }

        private List<Place> others(int position, String id) {
            return INCONSISTENT.contains(id)
                    ? check.alike(position, id).stream()
                            .filter(each -> each != position)
                            .sorted()
                            .map(places::get)
                            .toList()
                    : List.of();
        }

        /** In a file that has part in an inconsistency and no finding of it, its first segment gets one. */
        private void addToOtherFiles(int position, Finding finding, Map<Integer, List<Finding>> all) {
            List<Integer> alike = check.alike(position, finding.check());
            Set<Integer> told = new HashSet<>();
            alike.stream()
                    .filter(each -> all.getOrDefault(each, List.of()).stream()
                            .anyMatch(other -> other.check().equals(finding.check())))
                    .forEach(each -> told.add(places.get(each).file()));
            for (int each : alike) {
                int file = places.get(each).file();
                if (!told.contains(file)) {
                    Optional<Finding> here = check.besides(each, position, finding.check());
                    if (here.isPresent()) {
                        told.add(file);
                        List<Finding> more = new ArrayList<>(all.getOrDefault(each, List.of()));
                        more.add(here.get());
                        all.put(each, more);
                    }
                }
            }
        }
    }
}
