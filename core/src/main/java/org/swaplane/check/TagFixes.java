package org.swaplane.check;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagOrder;
import org.swaplane.content.Text;

/** What a target with faulty tags should be, where that is certain. */
final class TagFixes {
    /** Beyond so many tags nobody knows which two were meant, and trying all takes long. */
    private static final int MOST_TRIED = 20;

    private TagFixes() {}

    /**
     * With the tags that are missing: at the begin or end where they stand there in the source, around a text that both have once, in
     * place of others that the target has instead.
     */
    static Optional<Content> withMissing(Content source, Content target, List<Tag> missing, List<Tag> added) {
        if (!added.isEmpty()) {
            return instead(target, missing, added);
        }
        return atEdges(source, target, missing).or(() -> around(source, target, missing));
    }

    /** With the source's own tag in place of each that has its id. */
    static Content withCodesOf(Content source, Content target) {
        return new Content(target.runs().stream()
                .map(run -> run instanceof Tag tag
                        ? source.tags().stream()
                                .filter(tag::matches)
                                .<Run>map(own -> own)
                                .findFirst()
                                .orElse(run)
                        : run)
                .toList());
    }

    private static Optional<Content> instead(Content target, List<Tag> missing, List<Tag> added) {
        boolean alike = missing.stream()
                .map(Tag::kind)
                .toList()
                .equals(added.stream().map(Tag::kind).toList());
        if (!alike) {
            return Optional.empty();
        }
        Iterator<Tag> right = missing.iterator();
        List<Tag> wrong = new ArrayList<>(added);
        return Optional.of(new Content(target.runs().stream()
                .map(run -> run instanceof Tag tag && wrong.remove(tag) ? right.next() : run)
                .toList()));
    }

    private static Optional<Content> atEdges(Content original, Content target, List<Tag> missing) {
        List<Run> source = original.runs();
        List<Run> before = new ArrayList<>();
        List<Run> after = new ArrayList<>();
        int first = 0;
        while (first < source.size() && source.get(first) instanceof Tag tag) {
            if (missing.contains(tag)) {
                before.add(tag);
            }
            first++;
        }
        for (int last = source.size() - 1; last >= first && source.get(last) instanceof Tag tag; last--) {
            if (missing.contains(tag)) {
                after.add(0, tag);
            }
        }
        if (before.size() + after.size() < missing.size()) {
            return Optional.empty();
        }
        List<Run> result = new ArrayList<>(before);
        result.addAll(target.runs());
        result.addAll(after);
        return Optional.of(new Content(result));
    }

    /** A pair around one text without tags, which stands in the target as one word or more, and only once. */
    private static Optional<Content> around(Content source, Content target, List<Tag> missing) {
        if (missing.size() != 2
                || missing.get(0).kind() != Tag.Kind.OPEN
                || missing.get(1).kind() != Tag.Kind.CLOSE
                || !missing.get(0).id().equals(missing.get(1).id())) {
            return Optional.empty();
        }
        int open = source.runs().indexOf(missing.get(0));
        boolean simple = open + 2 < source.runs().size()
                && source.runs().get(open + 1) instanceof Text
                && source.runs().get(open + 2).equals(missing.get(1));
        if (!simple) {
            return Optional.empty();
        }
        String inner = ((Text) source.runs().get(open + 1)).value();
        Matcher there = Pattern.compile("(?<![\\p{L}\\p{N}])" + Pattern.quote(inner) + "(?![\\p{L}\\p{N}])")
                .matcher(target.plainText());
        if (inner.isBlank() || !there.find()) {
            return Optional.empty();
        }
        int start = there.start();
        return there.find() ? Optional.empty() : wrapped(target, start, start + inner.length(), missing);
    }

    private static Optional<Content> wrapped(Content target, int start, int end, List<Tag> pair) {
        List<Run> result = new ArrayList<>();
        int at = 0;
        boolean done = false;
        for (Run run : target.runs()) {
            if (run instanceof Text text && at <= start && end <= at + text.length() && !done) {
                result.add(new Text(text.value().substring(0, start - at)));
                result.add(pair.get(0));
                result.add(new Text(text.value().substring(start - at, end - at)));
                result.add(pair.get(1));
                result.add(new Text(text.value().substring(end - at)));
                done = true;
            } else {
                result.add(run);
            }
            at += run.length();
        }
        return done ? Optional.of(new Content(result)) : Optional.empty();
    }

    static Content withoutAdded(Content target, List<Tag> added) {
        List<Run> result = new ArrayList<>(target.runs());
        for (Tag tag : added) {
            result.remove(result.lastIndexOf(tag));
        }
        return new Content(result);
    }

    /** With two halves exchanged, where this alone makes pairs of all of them; of several ways the one that has the source's order. */
    static Optional<Content> nested(Content source, Content target) {
        List<Run> runs = target.runs();
        if (target.tags().size() > MOST_TRIED) {
            return Optional.empty();
        }
        List<Content> sound = new ArrayList<>();
        for (int i = 0; i < runs.size(); i++) {
            for (int j = i + 1; j < runs.size(); j++) {
                if (runs.get(i) instanceof Tag one && runs.get(j) instanceof Tag other && !one.equals(other)) {
                    List<Run> exchanged = new ArrayList<>(runs);
                    exchanged.set(i, other);
                    exchanged.set(j, one);
                    boolean halves = one.kind() != Tag.Kind.STANDALONE && other.kind() != Tag.Kind.STANDALONE;
                    boolean meant = one.id().equals(other.id()) || j == i + 1;
                    if (halves && meant && TagOrder.isNested(new Content(exchanged))) {
                        sound.add(new Content(exchanged));
                    }
                }
            }
        }
        List<Content> likeSource =
                sound.stream().filter(each -> order(each).equals(order(source))).toList();
        List<Content> certain = sound.size() == 1 ? sound : likeSource;
        return certain.size() == 1 ? Optional.of(certain.get(0)) : Optional.empty();
    }

    private static List<String> order(Content content) {
        return content.tags().stream().map(tag -> tag.kind() + tag.id()).toList();
    }

    /** With the tags that must keep their order put into it, in the places where such tags stand. */
    static Content ordered(Content source, Content target) {
        Iterator<Tag> right =
                source.tags().stream().filter(tag -> !tag.rights().reorder()).iterator();
        return new Content(target.runs().stream()
                .map(run -> run instanceof Tag tag && !tag.rights().reorder() && right.hasNext() ? right.next() : run)
                .toList());
    }
}
