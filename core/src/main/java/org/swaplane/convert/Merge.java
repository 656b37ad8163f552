package org.swaplane.convert;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.TagNotation;
import org.swaplane.content.Text;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/**
 * A client document and the bilingual file that was made of it, put together. Where the segments there are those that the document is cut into
 * here, each gets its target; where another tool has cut them otherwise, the texts are put in whole.
 */
public final class Merge {
    private static final Pattern OUR_UNIT = Pattern.compile("u(\\d+)");
    private static final Pattern WITHOUT_SPACES = Pattern.compile("(?i)(ja|zh|th|lo|km|my)([-_].*)?");

    private final List<SegmentEdit> edits = new ArrayList<>();
    private final List<String> problems = new ArrayList<>();
    private final DocumentFile document;
    private final String space;

    /** Reads both, the original as by default. */
    public Merge(FormatRegistry formats, Source original, Source bilingual, Progress progress) throws IOException {
        this(formats, original, DocumentOptions.DEFAULT, bilingual, progress);
    }

    /**
     * Reads both, the original by the options by which the bilingual file was made of it.
     *
     * @throws CannotProceedException when one cannot be read, or the first is no document
     */
    public Merge(FormatRegistry formats, Source original, DocumentOptions how, Source bilingual, Progress progress)
            throws IOException {
        BilingualDocument translated = formats.open(bilingual, progress).document();
        FileOptions options = FileOptions.ofLanguages(translated.sourceLanguage(), translated.targetLanguage())
                .with(how);
        space = WITHOUT_SPACES.matcher(translated.targetLanguage()).matches() ? "" : " ";
        Map<Integer, List<Segment>> there = byUnit(translated.segments());
        DocumentFile inSentences = open(formats, original, options, progress);
        if (collectSegments(inSentences, there)) {
            document = inSentences;
        } else {
            edits.clear();
            document = open(formats, original, options.with(SegmentationRules.BY_PARAGRAPH), progress);
            collectUnits(there);
        }
    }

    private static DocumentFile open(FormatRegistry formats, Source original, FileOptions options, Progress progress)
            throws IOException {
        BilingualFile opened = formats.open(original, options, progress);
        if (opened instanceof DocumentFile found) {
            return found;
        }
        throw new CannotProceedException(original.name(), "problem.not-a-document");
    }

    /** What could not be put into the document. */
    public List<String> problems() {
        return List.copyOf(problems);
    }

    /** Writes the document in the target language. */
    public void write(OutputStream out) throws IOException {
        document.write(edits, out, Progress.NONE);
    }

    /** The segments of each unit by its number: the one that we gave it, else its place. */
    private static Map<Integer, List<Segment>> byUnit(List<Segment> segments) {
        Map<Integer, List<Segment>> units = new LinkedHashMap<>();
        int number = 0;
        String before = null;
        for (Segment segment : segments) {
            if (!segment.unit().equals(before)) {
                Matcher ours = OUR_UNIT.matcher(segment.unit());
                number = ours.matches() ? Integer.parseInt(ours.group(1)) : number + 1;
            }
            before = segment.unit();
            units.computeIfAbsent(number, none -> new ArrayList<>()).add(segment);
        }
        return units;
    }

    /** Whether every unit is cut there as it is here; then each segment gets its own target. */
    private boolean collectSegments(DocumentFile file, Map<Integer, List<Segment>> there) {
        List<Segment> own = file.document().segments();
        int unit = 0;
        int position = 0;
        for (int i = 0; i < own.size(); i++) {
            boolean begins = i == 0 || !own.get(i).unit().equals(own.get(i - 1).unit());
            unit += begins ? 1 : 0;
            position = begins ? 0 : position + 1;
            List<Segment> segments = there.getOrDefault(unit, List.of());
            boolean ends = i == own.size() - 1
                    || !own.get(i).unit().equals(own.get(i + 1).unit());
            Content source = own.get(i).source();
            if (position >= segments.size()
                    || ends && segments.size() > position + 1
                    || !same(source, segments.subList(position, position + 1))) {
                return false;
            }
            add(i, source, segments.subList(position, position + 1));
        }
        return true;
    }

    private void collectUnits(Map<Integer, List<Segment>> units) {
        List<Segment> own = document.document().segments();
        for (int i = 0; i < own.size(); i++) {
            List<Segment> there = units.get(i + 1);
            Content source = own.get(i).source();
            if (there == null) {
                problems.add(text("merge.missing", own.get(i).key()));
            } else if (!same(source, there)) {
                problems.add(text("merge.source-differs", own.get(i).key()));
            } else {
                add(i, source, there);
            }
        }
    }

    private void add(int segment, Content source, List<Segment> there) {
        if (there.stream().anyMatch(each -> !each.target().isEmpty())) {
            Content target = TagNotation.read(written(there, true), source).content();
            edits.add(new SegmentEdit(segment, target, State.TRANSLATED));
        }
    }

    private boolean same(Content source, List<Segment> there) {
        String written = TagNotation.write(source, source);
        return folded(written).equals(folded(written(there, false)));
    }

    private static String folded(String text) {
        return Fingerprint.ofWritten(text.replaceAll("\\s+", ""));
    }

    /** All sources or targets of a unit in one, with the tag numbers of the whole; white space as between sentences of the language. */
    private String written(List<Segment> segments, boolean targets) {
        List<Run> sources = new ArrayList<>();
        List<Run> wanted = new ArrayList<>();
        for (Segment segment : segments) {
            sources.addAll(segment.source().runs());
            boolean missing = segment.target().isEmpty();
            wanted.addAll(
                    targets && !missing
                            ? segment.target().runs()
                            : segment.source().runs());
            wanted.add(new Text(space));
        }
        return TagNotation.write(new Content(wanted), new Content(sources)).strip();
    }
}
