package org.swaplane.quality;

/**
 * What is wrong and how badly, in the words of a {@link QualityScheme}.
 *
 * @param category id of a category, or of a category and one of its types, parted by a slash: {@code accuracy/omission}
 * @param severity id of a severity
 */
public record Judgement(String category, String severity) {
    private static final char SLASH = '/';

    /** The category without its type, by which errors are counted. */
    public String top() {
        int slash = category.indexOf(SLASH);
        return slash < 0 ? category : category.substring(0, slash);
    }

    /** The type within the category; empty for none. */
    public String type() {
        int slash = category.indexOf(SLASH);
        return slash < 0 ? "" : category.substring(slash + 1);
    }
}
