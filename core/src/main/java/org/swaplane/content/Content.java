package org.swaplane.content;

import java.util.ArrayList;
import java.util.List;

/**
 * What stands in one source or target: runs of text and tags, in order. Immutable; neighbouring texts are one text, and there
 * is no empty text.
 */
public record Content(List<Run> runs) {
    public static final Content EMPTY = new Content(List.of());

    public Content {
        runs = joined(runs);
    }

    public static Content of(String text) {
        return text.isEmpty() ? EMPTY : new Content(List.of(new Text(text)));
    }

    public static Content of(Run... runs) {
        return new Content(List.of(runs));
    }

    private static List<Run> joined(List<Run> runs) {
        return isJoined(runs) ? List.copyOf(runs) : join(runs);
    }

    private static boolean isJoined(List<Run> runs) {
        boolean afterText = false;
        for (Run run : runs) {
            boolean isText = run instanceof Text;
            if (isText && (afterText || run.length() == 0)) {
                return false;
            }
            afterText = isText;
        }
        return true;
    }

    private static List<Run> join(List<Run> runs) {
        List<Run> result = new ArrayList<>(runs.size());
        for (Run run : runs) {
            Run last = result.isEmpty() ? null : result.get(result.size() - 1);
            if (run instanceof Text text && last instanceof Text before) {
                result.set(result.size() - 1, new Text(before.value() + text.value()));
            } else if (run instanceof Tag || run.length() > 0) {
                result.add(run);
            }
        }
        return List.copyOf(result);
    }

    /** The text with tags left out; offsets of findings count in it (UTF-16 units, 0-based, half-open). */
    public String plainText() {
        if (runs.size() == 1 && runs.get(0) instanceof Text text) {
            return text.value();
        }
        StringBuilder text = new StringBuilder();
        for (Run run : runs) {
            if (run instanceof Text part) {
                text.append(part.value());
            }
        }
        return text.toString();
    }

    /** The text with the code of every tag in its place, as a file writes it. */
    public String withCodes() {
        StringBuilder result = new StringBuilder();
        for (Run run : runs) {
            result.append(run instanceof Text text ? text.value() : ((Tag) run).code());
        }
        return result.toString();
    }

    public List<Tag> tags() {
        List<Tag> tags = new ArrayList<>(runs.size());
        for (Run run : runs) {
            if (run instanceof Tag tag) {
                tags.add(tag);
            }
        }
        return List.copyOf(tags);
    }

    public boolean isEmpty() {
        return runs.isEmpty();
    }

    /** Whether nothing of its text is seen; tags do not count. */
    public boolean isBlank() {
        for (Run run : runs) {
            if (run instanceof Text text && !Blanks.isAllOf(text.value())) {
                return false;
            }
        }
        return true;
    }

    /** Whether both hold the same text and the same tags in the same order, however a file writes the tags. */
    public boolean sameAs(Content other) {
        if (runs.size() != other.runs.size()) {
            return false;
        }
        for (int i = 0; i < runs.size(); i++) {
            Run mine = runs.get(i);
            Run theirs = other.runs.get(i);
            boolean same = mine instanceof Tag tag && theirs instanceof Tag otherTag
                    ? tag.matches(otherTag)
                    : mine.equals(theirs);
            if (!same) {
                return false;
            }
        }
        return true;
    }

    /** This content with plain text {@code [start, end)} replaced; tags stay where they are, inside the range at its end. */
    public Content replaceText(int start, int end, String replacement) {
        List<Run> result = new ArrayList<>();
        int at = 0;
        boolean written = false;
        for (Run run : runs) {
            int next = at + run.length();
            if (run instanceof Text text) {
                if (!written && (start < next || start == next && end == start)) {
                    result.add(new Text(text.value().substring(0, start - at)));
                    result.add(new Text(replacement));
                    written = true;
                    result.add(new Text(text.value().substring(Math.min(text.length(), end - at))));
                } else {
                    int from = Math.max(0, Math.min(text.length(), end - at));
                    result.add(new Text(written ? text.value().substring(from) : text.value()));
                }
            } else {
                result.add(run);
            }
            at = next;
        }
        if (!written) {
            result.add(new Text(replacement));
        }
        return new Content(result);
    }
}
