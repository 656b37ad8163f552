package org.swaplane.format;

import com.ibm.icu.text.MessagePattern;
import com.ibm.icu.text.MessagePattern.ArgType;
import com.ibm.icu.text.MessagePattern.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.placeholder.PlaceholderTags;

/**
 * A text in ICU message syntax that holds variants: arguments are tags, and each variant of a plural or select is a text of its own
 * within the tag of its argument, to any depth.
 *
 * @param content arguments as tags, their codes as they stand in the pattern
 * @param doubled whether every apostrophe is written twice, as Java's own message formats need it
 */
public record IcuMessage(Content content, List<Variant> variants, boolean doubled) {
    private static final Pattern COMPLEX =
            Pattern.compile("\\{\\s*[\\p{L}\\d_]+\\s*,\\s*(?:plural|select|selectordinal)\\s*,");

    /**
     * One variant of an argument.
     *
     * @param tag id of the argument's tag
     * @param name the argument and its selectors, such as {@code count=one}
     * @param from where it begins in the code of the tag
     * @param to where it ends there
     */
    public record Variant(String tag, String name, int from, int to, IcuMessage message) {}

    public IcuMessage {
        variants = List.copyOf(variants);
    }

    /** The message that a text is; empty when it has no variants, or is broken and thus only text. */
    public static Optional<IcuMessage> of(String text, PlaceholderTags placeholders, boolean doubled) {
        if (!mayHaveVariants(text)) {
            return Optional.empty();
        }
        try {
            MessagePattern pattern = new MessagePattern(text);
            return Optional.of(new Reader(pattern, placeholders, doubled).read(0));
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            return Optional.empty();
        }
    }

    /** Whether a text looks like a message with variants; it need not be a sound one. */
    public static boolean mayHaveVariants(String text) {
        return text.indexOf('{') >= 0
                && (text.contains("plural") || text.contains("select"))
                && COMPLEX.matcher(text).find();
    }

    /** How such a text is written. */
    public UnitSyntax syntax() {
        return this::written;
    }

    private String written(Content written) {
        StringBuilder pattern = new StringBuilder();
        for (Run run : written.runs()) {
            if (run instanceof Tag tag) {
                pattern.append(tag.code());
            } else if (run instanceof Text text) {
                pattern.append(quoted(text.value()));
            }
        }
        return pattern.toString();
    }

    /** An apostrophe only quotes what is syntax (ICU, ApostropheMode DOUBLE_OPTIONAL). */
    private String quoted(String text) {
        String apostrophes = doubled ? text.replace("'", "''") : text.replaceAll("'(?=['{}#|]|$)", "''");
        return apostrophes.replaceAll("[{}]+", "'$0'");
    }

    /** Walks the parts of a parsed pattern. */
    private record Reader(MessagePattern pattern, PlaceholderTags placeholders, boolean doubled) {
        /** The message that starts at this part. */
        private IcuMessage read(int start) {
            List<Run> runs = new ArrayList<>();
            List<Variant> variants = new ArrayList<>();
            StringBuilder text = new StringBuilder();
            int limit = pattern.getLimitPartIndex(start);
            int at = pattern.getPart(start).getLimit();
            for (int i = start + 1; i <= limit; i++) {
                Part part = pattern.getPart(i);
                text.append(pattern.getPatternString(), at, part.getIndex());
                at = part.getLimit();
                switch (part.getType()) {
                    case REPLACE_NUMBER -> {
                        flush(text, runs);
                        runs.add(new Tag(Tag.Kind.STANDALONE, Tag.PLACEHOLDER + '#', "#", "#"));
                    }
                    case ARG_START -> {
                        flush(text, runs);
                        int end = pattern.getLimitPartIndex(i);
                        addArgument(i, end, runs, variants);
                        at = pattern.getPart(end).getLimit();
                        i = end;
                    }
                    default -> {} // syntax, and the end of the message
                }
            }
            flush(text, runs);
            return new IcuMessage(new Content(runs), variants, doubled);
        }

        private void flush(StringBuilder text, List<Run> runs) {
            // A brace that is text was quoted and is no placeholder.
            boolean quoted = text.indexOf("{") >= 0;
            runs.addAll((quoted ? Content.of(text.toString()) : placeholders.tagged(text.toString())).runs());
            text.setLength(0);
        }

        private void addArgument(int start, int end, List<Run> runs, List<Variant> variants) {
            int from = pattern.getPart(start).getIndex();
            String code = pattern.getPatternString()
                    .substring(from, pattern.getPart(end).getLimit());
            ArgType type = pattern.getPart(start).getArgType();
            String name = pattern.getSubstring(pattern.getPart(start + 1));
            boolean hasVariants = type.hasPluralStyle() || type == ArgType.SELECT;
            // Variants of the same argument can occur twice in one message, and their codes differ.
            String id = Tag.PLACEHOLDER + (hasVariants ? name + ':' + from : code);
            runs.add(new Tag(Tag.Kind.STANDALONE, id, code, hasVariants ? name : code));
            for (int i = start + 2; hasVariants && i < end; i++) {
                if (pattern.getPartType(i) == Part.Type.MSG_START) {
                    int limit = pattern.getLimitPartIndex(i);
                    variants.add(new Variant(
                            id,
                            name + '=' + selector(start, i),
                            pattern.getPart(i).getLimit() - from,
                            pattern.getPart(limit).getIndex() - from,
                            read(i)));
                    i = limit;
                }
            }
        }

        /** The selector that stands before a variant. */
        private String selector(int start, int variant) {
            for (int i = variant - 1; i > start; i--) {
                if (pattern.getPartType(i) == Part.Type.ARG_SELECTOR) {
                    return pattern.getSubstring(pattern.getPart(i));
                }
            }
            return "";
        }
    }
}
