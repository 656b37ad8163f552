package org.swaplane.review;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.document.Segment;
import org.swaplane.lane.TrackSnapshot;

/** What a document is made of, to jump by: its files, sheets, slides, headings and groups of keys, as the names of its units tell. */
public final class Outline {
    private static final Pattern HEADING = Pattern.compile("(?:h([1-6])|heading(?:-([1-6]))?) \\d+");
    private static final Pattern NUMBERED = Pattern.compile("(.+?) ?\\d+");
    private static final List<String> OFFICE = List.of("docx", "xlsx", "pptx", "odt", "ods", "odp");

    private Outline() {}

    /**
     * A place in the document.
     *
     * @param level 0 for files, sheets, slides and groups, 1 and more for headings
     * @param first position of its first segment
     * @param segments how many it has, up to the next of its level or above
     * @param open how many of these wait for review
     */
    public record Entry(int level, String title, int first, int segments, int open) {}

    private record Begin(int level, String title, int first) {}

    /** In the order of the document; empty where it is all of a piece. */
    public static List<Entry> of(TrackSnapshot track) {
        List<Begin> begins = new ArrayList<>();
        String group = null;
        for (int i = 0; i < track.size(); i++) {
            Segment segment = track.segment(i);
            String here = group(track, segment);
            if (!here.equals(group)) {
                group = here;
                if (!here.isEmpty()) {
                    begins.add(new Begin(0, here, i));
                }
            }
            int level = heading(segment);
            if (level > 0) {
                begins.add(new Begin(level, segment.source().plainText(), i));
            }
        }
        return begins.size() < 2 ? List.of() : counted(track, begins);
    }

    /** What the names of all files and groups begin with, up to a slash; it tells none of them apart. */
    private static int common(List<Begin> begins) {
        List<String> titles = begins.stream()
                .filter(begin -> begin.level() == 0)
                .map(Begin::title)
                .toList();
        String common = titles.isEmpty() ? "" : titles.get(0);
        for (String title : titles) {
            while (!title.startsWith(common)) {
                common = common.substring(0, common.length() - 1);
            }
        }
        int length = common.lastIndexOf('/') + 1;
        return titles.stream().allMatch(title -> title.length() > length) ? length : 0;
    }

    private static List<Entry> counted(TrackSnapshot track, List<Begin> begins) {
        int common = common(begins);
        int[] openBefore = new int[track.size() + 1];
        for (int i = 0; i < track.size(); i++) {
            openBefore[i + 1] = openBefore[i] + (track.isOpen(i) ? 1 : 0);
        }
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < begins.size(); i++) {
            Begin begin = begins.get(i);
            int end = track.size();
            for (int next = i + 1; next < begins.size(); next++) {
                if (begins.get(next).level() <= begin.level()) {
                    end = begins.get(next).first();
                    break;
                }
            }
            entries.add(new Entry(
                    begin.level(),
                    begin.level() == 0 ? begin.title().substring(common) : begin.title(),
                    begin.first(),
                    end - begin.first(),
                    openBefore[end] - openBefore[begin.first()]));
        }
        return entries;
    }

    private static String group(TrackSnapshot track, Segment segment) {
        String part = track.document().parts().size() > 1
                ? track.document().parts().get(segment.part()).name()
                : "";
        String path = segment.key().contains("/")
                ? segment.key().substring(0, segment.key().lastIndexOf('/'))
                : "";
        if (OFFICE.contains(track.document().format())) {
            Matcher numbered = NUMBERED.matcher(segment.unit());
            return numbered.matches() ? numbered.group(1) : part;
        }
        if (path.isEmpty() && segment.unit().matches("[\\w-]+(?:\\.[\\w-]+)+")) {
            return segment.unit().substring(0, segment.unit().indexOf('.'));
        }
        // Of XLIFF: the file and its groups.
        return path.isEmpty() ? part : path;
    }

    private static int heading(Segment segment) {
        Matcher heading = HEADING.matcher(segment.unit());
        if (!heading.matches() || !segment.key().equals(segment.unit())) {
            return 0;
        }
        String level = heading.group(1) == null ? heading.group(2) : heading.group(1);
        return level == null ? 1 : Integer.parseInt(level);
    }
}
