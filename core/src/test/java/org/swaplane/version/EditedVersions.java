package org.swaplane.version;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;

/** Makes a document and a new version of it by random edits, and remembers what became of each segment. */
final class EditedVersions {
    private static final List<String> WORDS = List.of(
            ("the ferry leaves pier at tide harbour island ticket crossing passenger winter summer timetable dogs bicycles"
                            + " cabin deck weather delay captain gangway luggage child adult return single fare office closed open"
                            + " morning evening night north south east west bay rock light bell rope anchor storm calm seal gull"
                            + " please must may should never always before after until between about without behind above")
                    .split(" "));

    /** What is known of a new segment: where it came from. */
    record Truth(Outcome outcome, List<Integer> old) {}

    private record Piece(Content content, Truth truth, String key) {}

    final BilingualDocument old;
    final BilingualDocument now;
    final List<Truth> truths;
    final List<Integer> gone;

    private EditedVersions(BilingualDocument old, BilingualDocument now, List<Truth> truths, List<Integer> gone) {
        this.old = old;
        this.now = now;
        this.truths = truths;
        this.gone = gone;
    }

    /**
     * Two versions.
     *
     * @param keys whether segments have ids of their own, and not positions
     * @param share of the segments that are edited
     */
    static EditedVersions of(long seed, int size, double share, boolean keys) {
        Random random = new Random(seed);
        List<Content> before = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            // One in ten stands elsewhere as well, as in tables and menus.
            boolean repeated = i > 5 && random.nextInt(10) == 0;
            before.add(repeated ? before.get(random.nextInt(i)) : sentence(random));
        }
        List<Piece> pieces = new ArrayList<>();
        List<Integer> gone = new ArrayList<>();
        List<Piece> moved = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            String key = "id" + i;
            Content content = before.get(i);
            if (random.nextDouble() >= share) {
                pieces.add(new Piece(content, new Truth(Outcome.UNCHANGED, List.of(i)), key));
                continue;
            }
            switch (random.nextInt(8)) {
                case 0 -> gone.add(i);
                case 1 -> {
                    pieces.add(new Piece(sentence(random), new Truth(Outcome.NEW, List.of()), "new" + i));
                    pieces.add(new Piece(content, new Truth(Outcome.UNCHANGED, List.of(i)), key));
                }
                case 2 -> {
                    List<String> words = words(content);
                    int cut = words.size() / 2;
                    Truth truth = new Truth(Outcome.RESEGMENTED, List.of(i));
                    pieces.add(new Piece(text(words.subList(0, cut)), truth, key));
                    pieces.add(new Piece(text(words.subList(cut, words.size())), truth, key + "b"));
                }
                case 3 -> {
                    if (i + 1 < size) {
                        List<String> both = new ArrayList<>(words(content));
                        both.addAll(words(before.get(i + 1)));
                        pieces.add(new Piece(text(both), new Truth(Outcome.RESEGMENTED, List.of(i, i + 1)), key));
                        i++;
                    } else {
                        gone.add(i);
                    }
                }
                case 4 -> moved.add(new Piece(content, new Truth(Outcome.MOVED, List.of(i)), key));
                case 5 -> pieces.add(new Piece(retagged(content), new Truth(Outcome.CHANGED, List.of(i)), key));
                default ->
                    pieces.add(new Piece(reworded(content, random), new Truth(Outcome.CHANGED, List.of(i)), key));
            }
        }
        moved.forEach(piece -> pieces.add(random.nextInt(pieces.size() + 1), piece));
        List<Content> after = pieces.stream().map(Piece::content).toList();
        return new EditedVersions(
                document(before, index -> keys ? "id" + index : String.valueOf(index)),
                document(after, index -> keys ? pieces.get(index).key() : String.valueOf(index)),
                pieces.stream().map(Piece::truth).toList(),
                gone);
    }

    private static Content sentence(Random random) {
        List<String> words = new ArrayList<>();
        for (int n = 5 + random.nextInt(9); n > 0; n--) {
            words.add(WORDS.get(random.nextInt(WORDS.size())));
        }
        words.add(random.nextInt(10) < 3 ? random.nextInt(24) + ":" + (10 + random.nextInt(50)) : "today");
        return text(words);
    }

    private static List<String> words(Content content) {
        return List.of(content.plainText().split(" "));
    }

    private static Content text(List<String> words) {
        return Content.of(String.join(" ", words));
    }

    /** One or two words are others. */
    private static Content reworded(Content content, Random random) {
        List<String> words = new ArrayList<>(words(content));
        int at = random.nextInt(words.size());
        words.set(at, words.get(at).equals("quay") ? "jetty" : "quay");
        if (random.nextBoolean()) {
            words.add(random.nextInt(words.size()), "indeed");
        }
        return text(words);
    }

    private static Content retagged(Content content) {
        List<Run> runs = new ArrayList<>();
        List<String> words = words(content);
        runs.add(new Tag(Tag.Kind.OPEN, "g:1", "<g id='1'>", "b"));
        runs.add(new Text(words.get(0)));
        runs.add(new Tag(Tag.Kind.CLOSE, "g:1", "</g>", "b"));
        runs.add(new Text(' ' + String.join(" ", words.subList(1, words.size()))));
        return new Content(runs);
    }

    private static BilingualDocument document(List<Content> sources, java.util.function.IntFunction<String> key) {
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < sources.size(); i++) {
            String id = key.apply(i);
            segments.add(new Segment(
                    id, 0, id, sources.get(i), Content.EMPTY, State.INITIAL, "", Lock.NONE, SegmentMetadata.NOTHING));
        }
        return new BilingualDocument(
                "xliff-1.2", "UTF-8", List.of(new Part("p", "en", "de", List.of())), segments, List.of(), List.of());
    }
}
