package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.content.Text;

/**
 * A change of units of a memory that can be taken back.
 *
 * @param changes what takes the place of each; nothing for one that is taken out
 * @param added what comes in besides
 */
public record MemoryEdit(Map<MemoryUnit, Optional<MemoryUnit>> changes, List<MemoryUnit> added) {
    public MemoryEdit {
        changes = new LinkedHashMap<>(changes);
        added = List.copyOf(added);
    }

    private MemoryEdit(Map<MemoryUnit, Optional<MemoryUnit>> changes) {
        this(changes, List.of());
    }

    /** Puts these in. */
    public static MemoryEdit adding(List<MemoryUnit> units) {
        return new MemoryEdit(Map.of(), units);
    }

    /** Takes these out. */
    public static MemoryEdit without(List<MemoryUnit> units) {
        Map<MemoryUnit, Optional<MemoryUnit>> changes = new LinkedHashMap<>();
        units.forEach(unit -> changes.put(unit, Optional.empty()));
        return new MemoryEdit(changes);
    }

    /** Gives one unit another target, in tag notation. */
    public static MemoryEdit of(MemoryUnit unit, String target, String who, String at) {
        Content read = TagNotation.read(target, unit.source()).content();
        return new MemoryEdit(Map.of(unit, Optional.of(changed(unit, read, who, at))));
    }

    /**
     * Replaces text in the targets of those of these units that have it; tags stay where they are.
     *
     * @param what may hold groups, which {@code by} names as {@code $1} where {@code isRegex}
     */
    public static MemoryEdit replacing(
            List<MemoryUnit> units, Pattern what, String by, boolean isRegex, String who, String at) {
        String replacement = isRegex ? by : Matcher.quoteReplacement(by);
        Map<MemoryUnit, Optional<MemoryUnit>> changes = new LinkedHashMap<>();
        for (MemoryUnit unit : units) {
            Content target = replaced(unit.target(), what, replacement);
            if (!target.sameAs(unit.target())) {
                changes.put(unit, Optional.of(changed(unit, target, who, at)));
            }
        }
        return new MemoryEdit(changes);
    }

    private static Content replaced(Content target, Pattern what, String replacement) {
        return new Content(target.runs().stream()
                .map(run -> run instanceof Text text
                        ? new Text(what.matcher(text.value()).replaceAll(replacement))
                        : run)
                .toList());
    }

    private static MemoryUnit changed(MemoryUnit unit, Content target, String who, String at) {
        Provenance from = unit.provenance();
        return new MemoryUnit(
                unit.sourceLanguage(),
                unit.targetLanguage(),
                unit.source(),
                target,
                unit.context(),
                new Provenance(
                        from.created(), from.createdBy(), at, who, from.origin(), from.aligned(), from.properties()));
    }

    /**
     * What takes an edit back.
     *
     * @param before the units as they were
     * @param fresh ids of units that came by the edit, and were not there before
     */
    public record Undo(List<MemoryUnit> before, List<String> fresh) {
        /** Takes the edit back, and commits that. */
        public void apply(TranslationMemory memory) throws IOException {
            for (String id : fresh) {
                memory.remove(id);
            }
            for (MemoryUnit unit : before) {
                memory.add(unit);
            }
            memory.commit();
        }
    }

    /** Makes the changes and commits them. Of what becomes the same as another unit, that one stays. */
    public Undo apply(TranslationMemory memory) throws IOException {
        List<String> fresh = new ArrayList<>();
        for (MemoryUnit old : changes.keySet()) {
            memory.remove(old.id());
        }
        List<MemoryUnit> incoming = new ArrayList<>(added);
        changes.values().forEach(now -> now.ifPresent(incoming::add));
        for (MemoryUnit now : incoming) {
            if (!memory.has(now.id())) {
                memory.add(now);
                fresh.add(now.id());
            }
        }
        memory.commit();
        return new Undo(List.copyOf(changes.keySet()), fresh);
    }
}
