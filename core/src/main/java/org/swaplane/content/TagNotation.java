package org.swaplane.content;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Tags written as text, for tables, logs and plain display: {@code ⟦1⟧bold⟦/1⟧} is a pair, {@code ⟦2/⟧} stands alone
 * (U+27E6, U+27E7). A literal bracket of this kind in the text is doubled.
 */
public final class TagNotation {
    private static final Pattern EXACT = Pattern.compile("⟦(/?)(\\d{1,4})(/?)⟧");

    /** A number with its strokes, in the digits of any script, with blanks anywhere. */
    private static final String INSIDE = "\\s{0,3}([/／⁄]?)\\s{0,3}(\\p{Nd}{1,4})\\s{0,3}([/／⁄]?)\\s{0,3}";

    /** What people's hands and programs make of a tag: other brackets, other digits, blanks inside, one bracket lost. */
    private static final Pattern NEAR_MISS = Pattern.compile(
            "⟦?" + INSIDE + "⟧(?!⟧)|⟦" + INSIDE + "(?:⟧(?!⟧))?|[\\p{Ps}<＜]" + INSIDE + "[\\p{Pe}>＞]|[⟦⟧]");

    private static final String ASCII_BRACKETS = "()[]{}<>";

    private TagNotation() {}

    /** A piece of text that looks like a tag and is none; {@code meant} is the source's tag that it stood for, if it is clear. */
    public record Damage(String written, Optional<Tag> meant) {}

    /**
     * What was read.
     *
     * @param content text and tags; a damaged tag stands in it as the text that was written
     * @param repaired the same with every damaged tag replaced by the one that was meant, as far as that is clear
     */
    public record Reading(Content content, Content repaired, List<Damage> damages) {}

    /** Writes {@code content} with the tag numbers of {@code source}. */
    public static String write(Content content, Content source) {
        if (content.runs().size() == 1 && content.runs().get(0) instanceof Text text) {
            return escaped(text.value());
        }
        Iterator<Integer> numbers = TagNumbers.of(source).in(content).iterator();
        StringBuilder out = new StringBuilder();
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                out.append(escaped(text.value()));
            } else if (run instanceof Tag tag) {
                out.append(TagNumbers.written(tag.kind(), numbers.next()));
            }
        }
        return out.toString();
    }

    /** Reads text in which people may have moved, dropped or damaged the tags of {@code source}. Never fails. */
    public static Reading read(String written, Content source) {
        if (!hasBracket(written)) {
            Content plain = Content.of(written);
            return new Reading(plain, plain, List.of());
        }
        TagNumbers numbers = TagNumbers.of(source);
        List<Run> runs = new ArrayList<>();
        List<Run> repaired = new ArrayList<>();
        List<Damage> damages = new ArrayList<>();
        String sourceText = source.plainText();
        List<Tag> whole = exactTags(written, numbers);
        StringBuilder text = new StringBuilder();
        Matcher exact = EXACT.matcher(written);
        Matcher near = NEAR_MISS.matcher(written);
        int at = 0;
        while (at < written.length()) {
            char c = written.charAt(at);
            if ((c == '⟦' || c == '⟧') && at + 1 < written.length() && written.charAt(at + 1) == c) {
                text.append(c);
                at += 2;
                continue;
            }
            Matcher found = startsAt(exact, at) ? exact : startsAt(near, at) ? near : null;
            Optional<Tag> meant = found == null ? Optional.empty() : meant(found, numbers, found == exact);
            boolean isTag = found == exact && meant.isPresent();
            // A bracketed number that the source holds as text is text, and so is one whose tag stands here besides;
            // one
            // of our own brackets never is.
            boolean isDamage = found != null
                    && !isTag
                    && (isOurs(found.group())
                            || meant.isPresent()
                                    && whole.stream().noneMatch(meant.get()::matches)
                                    && !sourceText.contains(found.group().strip()));
            if (!isTag && !isDamage) {
                text.append(c);
                at++;
                continue;
            }
            runs.add(new Text(text.toString()));
            repaired.add(new Text(text.toString()));
            text.setLength(0);
            if (isTag) {
                runs.add(meant.get());
                repaired.add(meant.get());
            } else {
                damages.add(new Damage(found.group(), meant));
                runs.add(new Text(found.group()));
                repaired.add(meant.<Run>map(tag -> tag).orElse(new Text(found.group())));
            }
            at = found.end();
        }
        runs.add(new Text(text.toString()));
        repaired.add(new Text(text.toString()));
        return new Reading(new Content(runs), new Content(repaired), damages);
    }

    /** Without any, there is no tag and nothing that was one. */
    private static boolean hasBracket(String text) {
        for (int i = 0; i < text.length(); i++) {
            if (isBracket(text.charAt(i))) {
                return true;
            }
        }
        return false;
    }

    private static boolean isBracket(char c) {
        if (c < 0x7F) {
            return ASCII_BRACKETS.indexOf(c) >= 0;
        }
        int type = Character.getType(c);
        return type == Character.START_PUNCTUATION || type == Character.END_PUNCTUATION || c == '＜' || c == '＞';
    }

    private static List<Tag> exactTags(String written, TagNumbers numbers) {
        List<Tag> tags = new ArrayList<>();
        Matcher exact = EXACT.matcher(written);
        while (exact.find()) {
            meant(exact, numbers, true).ifPresent(tags::add);
        }
        return tags;
    }

    /** Whether a text holds what looks like a tag of ours, as one that its source lacks is read. */
    public static boolean isIn(String text) {
        return EXACT.matcher(text).find();
    }

    /** Reads a source that is known only as text: what is written exactly as a tag is one, and stands for itself. */
    public static Content readSource(String written) {
        List<Run> runs = new ArrayList<>();
        StringBuilder text = new StringBuilder();
        Matcher exact = EXACT.matcher(written);
        int at = 0;
        while (at < written.length()) {
            char c = written.charAt(at);
            boolean doubled = isOurs(String.valueOf(c)) && at + 1 < written.length() && written.charAt(at + 1) == c;
            if (doubled || !startsAt(exact, at)) {
                text.append(c);
                at += doubled ? 2 : 1;
                continue;
            }
            boolean closes = !exact.group(1).isEmpty();
            boolean standsAlone = !exact.group(3).isEmpty();
            Tag.Kind kind = closes ? Tag.Kind.CLOSE : standsAlone ? Tag.Kind.STANDALONE : Tag.Kind.OPEN;
            runs.add(new Text(text.toString()));
            runs.add(new Tag(kind, exact.group(2), exact.group(), ""));
            text.setLength(0);
            at = exact.end();
        }
        runs.add(new Text(text.toString()));
        return new Content(runs);
    }

    /** How many characters of the text that {@code written} is read as stand before its character {@code offset}. */
    public static int textBefore(String written, int offset, Content source) {
        TagNumbers numbers = TagNumbers.of(source);
        Matcher exact = EXACT.matcher(written);
        int text = 0;
        int at = 0;
        while (at < offset) {
            boolean doubled =
                    isOurs(written.substring(at, at + 1)) && written.startsWith(written.substring(at, at + 1), at + 1);
            if (!doubled && startsAt(exact, at) && meant(exact, numbers, true).isPresent()) {
                at = exact.end();
                continue;
            }
            at += doubled ? 2 : 1;
            text++;
        }
        return text;
    }

    private static boolean startsAt(Matcher matcher, int at) {
        return matcher.region(at, matcher.regionEnd()).lookingAt();
    }

    private static boolean isOurs(String written) {
        return written.indexOf('⟦') >= 0 || written.indexOf('⟧') >= 0;
    }

    private static Optional<Tag> meant(Matcher found, TagNumbers numbers, boolean exact) {
        for (int group = 1; group < found.groupCount(); group += 3) {
            if (found.group(group + 1) != null) {
                int number = Integer.parseInt(found.group(group + 1));
                boolean closes = !found.group(group).isEmpty();
                boolean standsAlone = !found.group(group + 2).isEmpty();
                Tag.Kind kind = closes ? Tag.Kind.CLOSE : standsAlone ? Tag.Kind.STANDALONE : Tag.Kind.OPEN;
                Optional<Tag> tag = numbers.tag(kind, number);
                // [2] for a tag that stands alone is a near miss too.
                return tag.isPresent() || exact || closes ? tag : numbers.tag(Tag.Kind.STANDALONE, number);
            }
        }
        return Optional.empty();
    }

    private static String escaped(String text) {
        return isOurs(text) ? text.replace("⟦", "⟦⟦").replace("⟧", "⟧⟧") : text;
    }
}
