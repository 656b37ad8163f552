package org.swaplane.lane;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The files that came into the lane's memory to be looked up: in the order of their priority, each with a role. */
public final class ReferenceFiles {
    static final String KEY = "reference-files";

    private final LaneSettings settings;

    ReferenceFiles(LaneSettings settings) {
        this.settings = settings;
    }

    /** What a file counts for; what the first ones say comes first. */
    public enum Role {
        /** Texts that are fixed, such as those of buttons. */
        KEY_LIST,
        /** Approved by the client. */
        APPROVED,
        OTHER
    }

    /**
     * One file.
     *
     * @param name under which its units are known
     * @param place where it lay; empty where it came from within the program
     */
    public record Entry(String name, Role role, Optional<Path> place) {
        private String written() {
            return role + "\t" + name + '\t' + place.map(Path::toString).orElse("");
        }

        private static Entry of(String line) {
            String[] parts = line.split("\t", 3);
            return new Entry(
                    parts[1],
                    Role.valueOf(parts[0]),
                    parts[2].isEmpty() ? Optional.empty() : Optional.of(Path.of(parts[2])));
        }
    }

    public List<Entry> all() {
        return settings.get(KEY).orElse("").lines().map(Entry::of).toList();
    }

    /** The place of a file among the others; behind all of them for one that is none. */
    int priority(String name) {
        List<Entry> all = all();
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).name().equals(name)) {
                return i;
            }
        }
        return all.size();
    }

    Role role(String name) {
        return all().stream()
                .filter(each -> each.name().equals(name))
                .findFirst()
                .map(Entry::role)
                .orElse(Role.OTHER);
    }

    /** Adds a file behind the others; one of the same name keeps its role. */
    void add(String name, Optional<Path> place) {
        change(all -> {
            List<Entry> changed = new ArrayList<>(all);
            Entry entry = new Entry(name, role(name), place);
            int at = priority(name);
            if (at < all.size()) {
                changed.set(at, entry);
            } else {
                changed.add(entry);
            }
            return changed;
        });
    }

    public void setRole(String name, Role role) {
        change(all -> all.stream()
                .map(each -> each.name().equals(name) ? new Entry(name, role, each.place()) : each)
                .toList());
    }

    /** Puts a file before the one that was before it. */
    public void prefer(String name) {
        change(all -> {
            List<Entry> changed = new ArrayList<>(all);
            int at = priority(name);
            if (at > 0 && at < all.size()) {
                Collections.swap(changed, at, at - 1);
            }
            return changed;
        });
    }

    void remove(String name) {
        change(all -> all.stream().filter(each -> !each.name().equals(name)).toList());
    }

    private synchronized void change(UnaryOperator<List<Entry>> change) {
        StringBuilder written = new StringBuilder();
        change.apply(all()).forEach(each -> written.append(each.written()).append('\n'));
        LaneWriter.await(settings.set(KEY, written.toString()));
    }
}
