package org.swaplane.memory;

import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.content.TagOrder;
import org.swaplane.document.Fingerprint;

/**
 * A source with its translation. Tags are numbered symbols: what they stand for is the business of the file in which they are used.
 *
 * @param sourceLanguage BCP 47, with the region
 * @param context where it stood
 */
public record MemoryUnit(
        String sourceLanguage,
        String targetLanguage,
        Content source,
        Content target,
        Context context,
        Provenance provenance) {
    /**
     * Where a unit stood.
     *
     * @param before fingerprint of the source before it; empty at the beginning, and where nobody knows
     * @param key of its segment
     */
    public record Context(String before, String after, String key) {
        public static final Context UNKNOWN = new Context("", "", "");

        /** Whether both neighbours are the same, or the key of its own is. */
        boolean matches(Context other) {
            boolean neighbours =
                    !(before + after).isEmpty() && before.equals(other.before) && after.equals(other.after);
            return neighbours || !key.isEmpty() && key.equals(other.key);
        }
    }

    public MemoryUnit {
        if (!source.tags().isEmpty() || !target.tags().isEmpty()) {
            String writtenTarget = TagNotation.write(target, source);
            source = TagNotation.readSource(TagNotation.write(source, source));
            target = TagNotation.read(writtenTarget, source).content();
        }
    }

    public String sourceWritten() {
        return TagNotation.write(source, source);
    }

    public String targetWritten() {
        return TagNotation.write(target, source);
    }

    /** Whether the target has the tags of the source, each as often: else it is good to look at, and never put into a file unseen. */
    public boolean keepsTags() {
        return TagOrder.sameTags(target, source) && !TagNotation.isIn(target.plainText());
    }

    public String origin() {
        return provenance.origin();
    }

    /** The same pair in another place. */
    MemoryUnit at(Context place, String origin) {
        return new MemoryUnit(sourceLanguage, targetLanguage, source, target, place, provenance.from(origin));
    }

    /** The same for the same pair of texts in the same languages, which a memory keeps once. */
    String id() {
        String all = String.join("\n", sourceLanguage, targetLanguage, sourceWritten(), targetWritten());
        return Fingerprint.sha256(all.getBytes(java.nio.charset.StandardCharsets.UTF_8))
                .substring(0, 32);
    }
}
