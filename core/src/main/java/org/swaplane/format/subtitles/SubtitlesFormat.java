package org.swaplane.format.subtitles;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.document.Note;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.TargetRule;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.format.TextDocument;
import org.swaplane.placeholder.PlaceholderRules;
import org.swaplane.placeholder.PlaceholderTags;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.task.Progress;

/** SubRip and WebVTT (W3C): times and settings stay, the text below them up to the blank line is a unit with its line breaks. */
public final class SubtitlesFormat implements BilingualFormat {
    private static final Pattern CUE = Pattern.compile(
            "(?m)^(?<time>[ \\t]*(?:\\d+:)?\\d+:\\d+[.,]\\d+[ \\t]*-->[ \\t]*(?:\\d+:)?\\d+:\\d+[.,]\\d+)[^\\r\\n]*\\R"
                    + "(?<text>[^\\r\\n]+(?:\\R[^\\r\\n]+)*)");

    /** WebVTT section 3.4, cue text: spans with classes or a speaker, and times; and what SubRip files hold in braces. */
    private static final List<PlaceholderRules.Own> CUE_MARKS = List.of(
            new PlaceholderRules.Own("cue-span", "</?(?:c|i|b|u|v|ruby|rt|lang|font)(?:\\.[^\\s<>]+)?(?:\\s[^<>]*)?>"),
            new PlaceholderRules.Own("cue-time", "<(?:\\d+:)?\\d+:\\d+\\.\\d+>"),
            new PlaceholderRules.Own("cue-place", "\\{\\\\[^{}]*\\}"));

    private static final int USUAL_LINE = 42;

    @Override
    public String id() {
        return "subtitles";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(
                id(),
                FormatTraits.of(FormatTraits.Markup.LINES)
                        .withoutEscapes()
                        .ofLines()
                        .withPlaceholders());
    }

    @Override
    public boolean recognises(Head head) {
        boolean named = head.extension().equals("srt") || head.extension().equals("vtt");
        return named && head.text().contains("-->");
    }

    /** A cue is read at once, so its sentences are not cut apart. */
    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        EncodedText text = EncodedText.guessed(source, options);
        TextDocument.Builder document = new TextDocument.Builder(text, options.with(SegmentationRules.BY_PARAGRAPH));
        String all = text.readAll();
        PlaceholderTags marks = options.document().placeholders().and(CUE_MARKS).tags();
        String lineEnd = all.contains("\r\n") ? "\r\n" : "\n";
        Matcher cue = CUE.matcher(all);
        SegmentMetadata lines = SegmentMetadata.NOTHING.with(TargetRule.linesUpTo(longestLine(all)));
        int number = 1;
        while (cue.find()) {
            Note time = new Note(cue.group("time").strip(), "", Note.Kind.CONTEXT, 0);
            document.add(
                    String.valueOf(number++),
                    cue.start("text"),
                    cue.end("text"),
                    marks.tagged(cue.group("text").replace("\r\n", "\n")),
                    content -> content.withCodes().replace("\n", lineEnd),
                    lines.with(List.of(time)));
        }
        return document.build("subtitles", CharacterEscapes.NONE);
    }

    /** What fits on a screen by common practice, or as much as the file itself has in a line. */
    private static int longestLine(String all) {
        int longest = USUAL_LINE;
        Matcher cue = CUE.matcher(all);
        while (cue.find()) {
            for (String line : cue.group("text").split("\\R")) {
                longest = Math.max(longest, line.replaceAll("<[^>]*>", "").length());
            }
        }
        return longest;
    }
}
