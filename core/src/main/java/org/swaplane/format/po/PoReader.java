package org.swaplane.format.po;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.placeholder.PlaceholderTags;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** One pass over the entries of a catalogue. */
final class PoReader {
    private static final String STRINGS =
            "[ \\t]*(\"(?:\\\\.|[^\"\\\\\\r\\n])*+\"(?:\\s*+\"(?:\\\\.|[^\"\\\\\\r\\n])*+\")*+)";
    private static final Pattern TOKEN = Pattern.compile(
            "(?m)^[ \\t]*(?:(?<comment>#[^\\r\\n]*)|(?<keyword>msgctxt|msgid_plural|msgid|msgstr(?:\\[(?<form>\\d+)\\])?)"
                    + STRINGS + "|(?<blank>$))");
    /** Messages are in English where nobody says otherwise. */
    private static final String USUAL_SOURCE = "en";

    private static final Pattern LANGUAGE = Pattern.compile("(?m)^Language:[ \\t]*([\\w@.-]+)");
    private static final Pattern EDGES = Pattern.compile("(?s)^([\\r\\n]*)(.*?)([\\r\\n]*)$");

    private final EncodedText text;
    private final FileOptions options;
    private final Progress progress;
    private final PlaceholderTags placeholders;
    private final List<Segment> segments = new ArrayList<>();
    private final List<PoFile.Place> places = new ArrayList<>();
    private final List<Problem> problems = new ArrayList<>();
    private final Map<String, Integer> keys = new HashMap<>();
    private String targetLanguage = "";

    /** What is known of an entry so far. */
    private static final class Entry {
        private final List<Note> notes = new ArrayList<>(0);
        private final List<PoFile.Place> forms = new ArrayList<>(1);
        private final List<String> targets = new ArrayList<>(1);
        private String context = "";
        private String source;
        private String plural = "";
        private PoFile.Fuzzy fuzzy = PoFile.Fuzzy.NONE;
        private int begin = -1;
    }

    PoReader(EncodedText text, FileOptions options, Progress progress) {
        this.text = text;
        this.options = options;
        this.placeholders = options.placeholderTags();
        this.progress = progress;
    }

    BilingualFile read() throws IOException {
        String all = text.readAll();
        Matcher token = TOKEN.matcher(all);
        Entry entry = new Entry();
        while (token.find()) {
            progress.checkCancelled();
            boolean begins = token.group("comment") != null
                    || "msgctxt".equals(token.group("keyword"))
                    || "msgid".equals(token.group("keyword"));
            if (!entry.forms.isEmpty() && (begins || token.group("blank") != null)) {
                add(entry);
                entry = new Entry();
            }
            read(token, entry);
        }
        add(entry);
        String target = targetLanguage.isEmpty() ? options.targetLanguage() : targetLanguage;
        Part part = new Part(
                text.source().name(), options.orSourceLanguage(USUAL_SOURCE).sourceLanguage(), target, List.of());
        BilingualDocument document =
                new BilingualDocument("po", text.encoding().label(), List.of(part), segments, problems, List.of());
        return new PoFile(text, document, places, all.contains("\r\n") ? "\r\n" : "\n");
    }

    private void read(Matcher token, Entry entry) {
        if (entry.begin < 0 && token.group("blank") == null) {
            entry.begin = token.start();
        }
        if (token.group("comment") != null) {
            readComment(token, entry);
            return;
        }
        String keyword = token.group("keyword");
        if (keyword == null) {
            return;
        }
        String value = PoString.read(token.group(4));
        switch (keyword) {
            case "msgctxt" -> entry.context = value;
            case "msgid" -> entry.source = value;
            case "msgid_plural" -> entry.plural = value;
            default -> {
                Matcher edges = edges(entry.source == null ? "" : entry.source);
                entry.forms.add(new PoFile.Place(
                        entry.begin, token.start(4), token.end(4), entry.fuzzy, edges.group(1), edges.group(3)));
                entry.targets.add(value);
            }
        }
    }

    /** Line breaks at the edges of a message belong to the file: nobody sees them who types the translation anew. */
    private static Matcher edges(String message) {
        Matcher edges = EDGES.matcher(message);
        if (!edges.matches()) {
            throw new AssertionError("every text has a middle");
        }
        return edges;
    }

    /** An obsolete entry ({@code #~}) is a comment; one before an entry says where it stands, or what it is about. */
    private void readComment(Matcher token, Entry entry) {
        String comment = token.group("comment");
        if (comment.startsWith("#,") && comment.contains("fuzzy")) {
            entry.fuzzy = new PoFile.Fuzzy(token.start("comment"), token.end("comment"));
        } else if (comment.startsWith("#:")) {
            entry.notes.add(new Note(comment.substring(2).strip(), "", Note.Kind.CONTEXT, 0));
        } else if (comment.startsWith("#.") || comment.startsWith("# ")) {
            entry.notes.add(new Note(comment.substring(2).strip(), comment.startsWith("#.") ? "" : "translator"));
        }
    }

    private void add(Entry entry) {
        if (entry.source == null || entry.forms.isEmpty()) {
            return;
        }
        if (entry.source.isEmpty() && entry.context.isEmpty()) {
            Matcher language = LANGUAGE.matcher(entry.targets.get(0));
            targetLanguage = language.find() ? language.group(1).replace('_', '-') : "";
            return;
        }
        if (!entry.context.isEmpty()) {
            entry.notes.add(0, new Note(entry.context, "", Note.Kind.CONTEXT, 0));
        }
        String unit = entry.context.isEmpty() ? entry.source : entry.context + '|' + entry.source;
        int before = keys.merge(unit, 1, Integer::sum);
        if (before > 1) {
            problems.add(new Problem(0, 0, Phrase.of("file.message-repeated", unit, before)));
        }
        String unique = before > 1 ? unit + '~' + before : unit;
        SegmentMetadata about = SegmentMetadata.ofNotes(entry.notes);
        boolean isFuzzy = entry.fuzzy.isThere();
        for (int form = 0; form < entry.forms.size(); form++) {
            String source = form == 0 || entry.plural.isEmpty() ? entry.source : entry.plural;
            Content target = placeholders.tagged(entry.forms.get(form).inner(entry.targets.get(form)));
            segments.add(new Segment(
                    entry.forms.size() == 1 ? unique : unique + '/' + form,
                    0,
                    unique,
                    placeholders.tagged(edges(source).group(2)),
                    target,
                    target.isEmpty() || isFuzzy ? State.INITIAL : State.TRANSLATED,
                    isFuzzy ? "fuzzy" : "",
                    Lock.NONE,
                    about));
            places.add(entry.forms.get(form));
        }
    }
}
