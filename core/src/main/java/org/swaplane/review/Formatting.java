package org.swaplane.review;

import java.util.List;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;

/** Formats that people know keys for, told by what the tags of a source stand for. */
public enum Formatting {
    BOLD("b|strong|bold|x-bold|xlf:b"),
    ITALIC("i|em|italic|italics|x-italic|emphasis|xlf:i"),
    UNDERLINE("u|ins|underline|underlined|x-underlined|xlf:u");

    /** What stands in a label or in the code of a tag: names of elements, types, and the like. */
    private static final Pattern WORDS = Pattern.compile("[^\\w:-]+");

    private final Pattern names;

    Formatting(String names) {
        this.names = Pattern.compile(names);
    }

    /** The halves of the first pair of this format that a source has and a target lacks; empty where there is none. */
    public List<Tag> missing(Content source, Content target) {
        for (Tag open : source.tags()) {
            if (open.kind() == Tag.Kind.OPEN && isOf(open) && lacks(target, open)) {
                return source.tags().stream()
                        .filter(tag -> tag.id().equals(open.id()))
                        .toList();
            }
        }
        return List.of();
    }

    private static boolean lacks(Content target, Tag open) {
        return target.tags().stream().noneMatch(open::matches);
    }

    private boolean isOf(Tag tag) {
        return WORDS.splitAsStream(tag.label() + ' ' + tag.code())
                .anyMatch(word -> names.matcher(word).matches());
    }
}
