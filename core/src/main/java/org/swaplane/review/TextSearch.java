package org.swaplane.review;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.lane.OwnNote;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.PatientText;
import org.swaplane.task.Progress;

/**
 * What is looked for in the segments of tracks, and what takes its place in their targets.
 *
 * @param isRegex whether it is a regular expression, whose groups the replacement names as {@code $1}
 * @param wholeWords whether letters or digits may stand next to it
 */
public record TextSearch(String text, boolean isRegex, boolean matchCase, boolean wholeWords, Where where) {
    private static final int OFTEN = 256;

    /** Which text is searched. */
    public enum Where {
        SOURCE,
        TARGET,
        BOTH,
        /** Of people here, of the file, and of recipients. */
        NOTES
    }

    /**
     * Where it stands.
     *
     * @param inTarget whether in the target; in the source, or in a note, otherwise
     * @param text that it stands in
     * @param spans in UTF-16 units of that text
     */
    public record Hit(TrackSnapshot track, int index, boolean inTarget, String text, List<Span> spans) {}

    /** @throws CannotProceedException when the regular expression is none */
    private Pattern pattern() {
        String written = isRegex ? text : Pattern.quote(text);
        if (wholeWords) {
            written = "(?<![\\p{L}\\p{M}\\p{N}_])(?:" + written + ")(?![\\p{L}\\p{M}\\p{N}_])";
        }
        try {
            return Pattern.compile(written, matchCase ? 0 : Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
        } catch (PatternSyntaxException e) {
            throw new CannotProceedException(text, "problem.no-regex", e.getDescription());
        }
    }

    /**
     * Where it stands in a track.
     *
     * @param segments positions to look at
     * @param notes of people here
     * @param most so many hits at most
     */
    public List<Hit> in(TrackSnapshot track, List<Integer> segments, List<OwnNote> notes, int most, Progress progress) {
        List<Hit> hits = new ArrayList<>();
        if (text.isEmpty()) {
            return hits;
        }
        Pattern pattern = pattern();
        for (int i = 0; i < segments.size() && hits.size() < most; i++) {
            if (i % OFTEN == 0) {
                progress.checkCancelled();
                progress.at(i, segments.size());
            }
            int index = segments.get(i);
            if (where == Where.SOURCE || where == Where.BOTH) {
                add(track, index, false, track.segment(index).source().plainText(), pattern, hits);
            }
            if (where == Where.TARGET || where == Where.BOTH) {
                add(track, index, true, track.target(index).plainText(), pattern, hits);
            }
            if (where == Where.NOTES) {
                track.segment(index).notes().forEach(note -> add(track, index, false, note.text(), pattern, hits));
                String key = track.segment(index).key();
                notes.stream()
                        .filter(note -> note.key().equals(key))
                        .forEach(note -> add(track, index, false, note.text(), pattern, hits));
            }
        }
        return hits;
    }

    private void add(TrackSnapshot track, int index, boolean inTarget, String within, Pattern pattern, List<Hit> hits) {
        List<Span> spans = spans(pattern.matcher(new PatientText(within, text)));
        if (!spans.isEmpty()) {
            hits.add(new Hit(track, index, inTarget, within, spans));
        }
    }

    private static List<Span> spans(Matcher matcher) {
        List<Span> spans = new ArrayList<>();
        while (matcher.find()) {
            if (matcher.end() > matcher.start()) {
                spans.add(new Span(matcher.start(), matcher.end()));
            }
        }
        return spans;
    }

    /**
     * A target with every place replaced; tags stay where they are, those within a place at its end.
     *
     * @throws CannotProceedException when the replacement names a group that there is none of
     */
    public Content replaced(Content target, String by) {
        String plain = target.plainText();
        Matcher matcher = pattern().matcher(new PatientText(plain, text));
        List<Span> spans = new ArrayList<>();
        List<String> texts = new ArrayList<>();
        while (matcher.find()) {
            if (matcher.end() > matcher.start()) {
                spans.add(new Span(matcher.start(), matcher.end()));
                texts.add(isRegex ? expanded(matcher, by) : by);
            }
        }
        Content replaced = target;
        for (int i = spans.size() - 1; i >= 0; i--) {
            replaced = replaced.replaceText(spans.get(i).start(), spans.get(i).end(), texts.get(i));
        }
        return replaced;
    }

    private String expanded(Matcher matcher, String by) {
        try {
            StringBuilder expanded = new StringBuilder();
            for (int i = 0; i < by.length(); i++) {
                char c = by.charAt(i);
                boolean followed = i + 1 < by.length();
                if (c == '\\' && followed) {
                    expanded.append(by.charAt(++i));
                } else if (c == '$' && followed && Character.isDigit(by.charAt(i + 1))) {
                    String group = matcher.group(by.charAt(++i) - '0');
                    expanded.append(group == null ? "" : group);
                } else {
                    expanded.append(c);
                }
            }
            return expanded.toString();
        } catch (IndexOutOfBoundsException e) {
            throw new CannotProceedException(text, "problem.no-group", by);
        }
    }
}
