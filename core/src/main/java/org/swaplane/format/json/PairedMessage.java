package org.swaplane.format.json;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.format.IcuMessage;
import org.swaplane.format.IcuMessage.Variant;

/** A message with variants and its translation; each text of the one has its counterpart in the other. */
final class PairedMessage {
    private final IcuMessage source;
    private final List<Text> texts = new ArrayList<>();

    /**
     * One text of both.
     *
     * @param name its variant, with a space before it; empty for the message itself
     * @param target with the tags of the source; empty without a translation
     */
    record Text(String name, Content source, Content target) {
        /** Whether there is anything in it to translate. */
        private boolean hasLetter() {
            return source.plainText().codePoints().anyMatch(Character::isLetter);
        }
    }

    private PairedMessage(IcuMessage source) {
        this.source = source;
    }

    /** Both together; empty where the translation has other variants, which its language may need. */
    static Optional<PairedMessage> of(IcuMessage source, Optional<IcuMessage> target) {
        PairedMessage paired = new PairedMessage(source);
        return target.isEmpty() || sameVariants(source, target.get())
                ? Optional.of(paired.with("", source, target))
                : Optional.empty();
    }

    private static boolean sameVariants(IcuMessage one, IcuMessage other) {
        boolean same = one.variants().size() == other.variants().size();
        for (int i = 0; same && i < one.variants().size(); i++) {
            Variant variant = one.variants().get(i);
            Variant there = other.variants().get(i);
            same = variant.name().equals(there.name()) && sameVariants(variant.message(), there.message());
        }
        return same;
    }

    private PairedMessage with(String name, IcuMessage message, Optional<IcuMessage> target) {
        Content translated = target.map(there -> retagged(there, message)).orElse(Content.EMPTY);
        texts.add(new Text(name, message.content(), translated));
        for (int i = 0; i < message.variants().size(); i++) {
            Variant variant = message.variants().get(i);
            int at = i;
            with(name + ' ' + variant.name(), variant.message(), target.map(there -> there.variants()
                    .get(at)
                    .message()));
        }
        return this;
    }

    /** The content of the translation, with the source's tags for the arguments that have variants. */
    private static Content retagged(IcuMessage target, IcuMessage source) {
        Map<String, String> ids = new HashMap<>();
        for (int i = 0; i < target.variants().size(); i++) {
            ids.put(target.variants().get(i).tag(), source.variants().get(i).tag());
        }
        Map<String, Tag> own = new HashMap<>();
        source.content().tags().forEach(tag -> own.put(tag.id(), tag));
        List<Run> runs = new ArrayList<>(target.content().runs());
        runs.replaceAll(run -> run instanceof Tag tag ? own.getOrDefault(ids.get(tag.id()), tag) : run);
        return new Content(runs);
    }

    /** What there is to translate. */
    List<Text> texts() {
        return texts.stream().filter(Text::hasLetter).toList();
    }

    /** The translated message in its syntax, {@code targets} in the order of the texts; without one the text stays as it is. */
    String written(List<Content> targets) {
        Iterator<Content> given = targets.iterator();
        List<Content> all = new ArrayList<>();
        for (Text text : texts) {
            Content target = text.hasLetter() ? given.next() : text.source();
            all.add(target.isEmpty() ? text.source() : target);
        }
        return written(source, all.iterator());
    }

    private static String written(IcuMessage message, Iterator<Content> targets) {
        Content content = targets.next();
        List<String> variants = new ArrayList<>();
        message.variants().forEach(variant -> variants.add(written(variant.message(), targets)));
        List<Run> runs = new ArrayList<>(content.runs());
        for (int i = variants.size() - 1; i >= 0; i--) { // from the last, so that the offsets of the others stay
            Variant variant = message.variants().get(i);
            String text = variants.get(i);
            runs.replaceAll(run -> run instanceof Tag tag && tag.id().equals(variant.tag())
                    ? new Tag(
                            tag.kind(),
                            tag.id(),
                            tag.code().substring(0, variant.from())
                                    + text
                                    + tag.code().substring(variant.to()),
                            tag.label(),
                            tag.rights())
                    : run);
        }
        return message.syntax().written(new Content(runs));
    }
}
