package org.swaplane.format.json;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.IcuMessage;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.SplicedCopy;
import org.swaplane.format.StatelessFile;
import org.swaplane.format.json.JsonTree.JsonArray;
import org.swaplane.format.json.JsonTree.JsonObject;
import org.swaplane.format.json.JsonTree.JsonString;
import org.swaplane.format.json.LanguageBranches.Addition;
import org.swaplane.format.json.LanguageBranches.Pair;
import org.swaplane.placeholder.PlaceholderTags;
import org.swaplane.task.Progress;

/** A JSON file with several languages in it; what the target language lacks is put in beside what it has. */
final class BranchedJsonFile implements StatelessFile {
    private final EncodedText text;
    private final String all;
    private final LanguageBranches branches;
    private final JsonSyntax syntax;
    private final BilingualDocument document;
    private final List<Place> places = new ArrayList<>();

    /** A text of the file, and the index of its first segment; a message has one for each of its variants besides. */
    private record Place(Pair pair, Optional<PairedMessage> message, int first) {
        private List<Content> targets(List<Segment> all) {
            int count = message.map(paired -> paired.texts().size()).orElse(1);
            return all.subList(first, first + count).stream()
                    .map(Segment::target)
                    .toList();
        }

        private String written(List<Content> targets, JsonSyntax syntax) {
            return message.map(paired -> syntax.escaped(paired.written(targets)))
                    .orElseGet(() -> syntax.written(targets.get(0)));
        }
    }

    BranchedJsonFile(EncodedText text, String all, LanguageBranches branches, JsonSyntax syntax, FileOptions options) {
        this.text = text;
        this.all = all;
        this.branches = branches;
        this.syntax = syntax;
        PlaceholderTags placeholders = options.placeholderTags();
        List<Segment> segments = new ArrayList<>();
        for (Pair pair : branches.pairs()) {
            Optional<PairedMessage> message = message(pair, placeholders);
            places.add(new Place(pair, message, segments.size()));
            if (message.isPresent()) {
                message.get().texts().stream()
                        .map(each -> segment(pair, each.name(), each.source(), each.target()))
                        .forEach(segments::add);
            } else {
                Content target = pair.target()
                        .map(there -> placeholders.tagged(there.value()))
                        .orElse(Content.EMPTY);
                segments.add(segment(pair, "", placeholders.tagged(pair.source().value()), target));
            }
        }
        Part part = new Part(text.source().name(), options.sourceLanguage(), options.targetLanguage(), List.of());
        this.document =
                new BilingualDocument("json", text.encoding().label(), List.of(part), segments, List.of(), List.of());
    }

    private static Optional<PairedMessage> message(Pair pair, PlaceholderTags placeholders) {
        Optional<IcuMessage> source = IcuMessage.of(pair.source().value(), placeholders, false);
        Optional<IcuMessage> target = pair.target().flatMap(there -> IcuMessage.of(there.value(), placeholders, false));
        boolean otherwise = target.isEmpty()
                && pair.target().filter(there -> !there.value().isEmpty()).isPresent();
        return source.isEmpty() || otherwise ? Optional.empty() : PairedMessage.of(source.get(), target);
    }

    private static Segment segment(Pair pair, String name, Content source, Content target) {
        State state = target.isEmpty() ? State.INITIAL : State.TRANSLATED;
        return new Segment(
                pair.path() + name,
                0,
                pair.path() + name,
                source,
                target,
                state,
                "",
                Lock.NONE,
                SegmentMetadata.NOTHING);
    }

    @Override
    public BilingualDocument document() {
        return document;
    }

    @Override
    public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        List<Splice> splices = new ArrayList<>();
        Map<JsonTree, String> missing = new HashMap<>();
        Map<Integer, Content> targets = new HashMap<>();
        edits.forEach(edit -> targets.put(edit.segment(), edit.target()));
        for (Place place : places) {
            Pair pair = place.pair();
            List<Content> before = place.targets(document.segments());
            List<Content> now = new ArrayList<>();
            for (int i = 0; i < before.size(); i++) {
                now.add(targets.getOrDefault(place.first() + i, before.get(i)));
            }
            if (now.equals(before)) {
                continue;
            }
            String written = place.written(now, syntax);
            pair.target()
                    .ifPresentOrElse(
                            there -> splices.add(
                                    new Splice(there.start() + 1, there.end() - 1, pair.path(), raw -> written)),
                            () -> missing.put(pair.source(), written));
        }
        addMissing(missing, splices);
        SplicedCopy.write(text, splices, CharacterEscapes.BACKSLASH_U, out, progress);
    }

    /** All that one container lacks goes in at once, behind its last member. */
    private void addMissing(Map<JsonTree, String> targets, List<Splice> splices) {
        Map<JsonTree, StringBuilder> additions = new LinkedHashMap<>();
        branches.additions().entrySet().stream()
                .sorted((a, b) -> Integer.compare(a.getKey().start(), b.getKey().start()))
                .forEach(each -> fragment(each.getKey(), targets).ifPresent(fragment -> {
                    Addition addition = each.getValue();
                    StringBuilder added = additions.computeIfAbsent(addition.into(), into -> new StringBuilder());
                    boolean first = added.isEmpty()
                            && lastEnd(addition.into()) == addition.into().start() + 1;
                    added.append(first ? "" : ",")
                            .append(addition.name().isEmpty() ? " " : spaceBefore(addition.nameStart()))
                            .append(addition.name().isEmpty() ? "" : '"' + addition.name() + "\": ")
                            .append(fragment);
                }));
        additions.forEach((into, added) -> {
            int at = lastEnd(into);
            splices.add(new Splice(at, at, document.targetLanguage(), raw -> added.toString()));
        });
    }

    private static int lastEnd(JsonTree container) {
        List<JsonTree> children = container instanceof JsonObject object
                ? List.copyOf(object.members().values())
                : ((JsonArray) container).items();
        return children.isEmpty()
                ? container.start() + 1
                : children.get(children.size() - 1).end();
    }

    private String spaceBefore(int at) {
        int from = at;
        while (from > 0 && Character.isWhitespace(all.charAt(from - 1))) {
            from--;
        }
        return all.substring(from, at);
    }

    /** A value of the source with its translations; empty if there is none in it. What an array lacks stays empty, so that places stay. */
    private Optional<String> fragment(JsonTree source, Map<JsonTree, String> targets) {
        if (source instanceof JsonString) {
            return Optional.ofNullable(targets.get(source)).map(target -> '"' + target + '"');
        }
        if (source instanceof JsonObject object) {
            return objectFragment(object, targets);
        }
        if (source instanceof JsonArray array) {
            boolean any = array.items().stream()
                    .anyMatch(item -> fragment(item, targets).isPresent());
            return any
                    ? Optional.of('['
                            + String.join(
                                    ", ",
                                    array.items().stream()
                                            .map(item -> fragment(item, targets).orElse(emptied(item)))
                                            .toList())
                            + ']')
                    : Optional.empty();
        }
        return Optional.empty();
    }

    private Optional<String> objectFragment(JsonObject object, Map<JsonTree, String> targets) {
        StringBuilder members = new StringBuilder();
        object.members().forEach((name, member) -> fragment(member, targets).ifPresent(written -> {
            int nameStart = object.names().get(name);
            members.append(members.isEmpty() ? "" : ",")
                    .append(spaceBefore(nameStart))
                    .append(all, nameStart, member.start())
                    .append(written);
        }));
        return members.isEmpty() ? Optional.empty() : Optional.of("{" + members + spaceBefore(object.end() - 1) + "}");
    }

    private String emptied(JsonTree item) {
        return item instanceof JsonString ? "\"\"" : all.substring(item.start(), item.end());
    }
}
