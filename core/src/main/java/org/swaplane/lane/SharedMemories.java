package org.swaplane.lane;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** The memories outside the lane that it looks things up in, in the order of their priority, as its settings hold them. */
final class SharedMemories {
    static final String KEY = "memories";
    private static final String GROWS = "grows";

    private final LaneSettings settings;

    /**
     * One of them.
     *
     * @param penalty points that are taken off its matches
     * @param grows whether what is reviewed here goes into it, too; else nothing is written into it by itself
     */
    record Shared(Path folder, int penalty, boolean grows) {
        private String written() {
            return penalty + "\t" + folder + (grows ? '\t' + GROWS : "") + '\n';
        }

        private static Shared of(String[] parts) {
            return new Shared(
                    Path.of(parts[1]), Integer.parseInt(parts[0]), parts.length > 2 && parts[2].equals(GROWS));
        }
    }

    SharedMemories(LaneSettings settings) {
        this.settings = settings;
    }

    List<Shared> all() {
        return settings.get(KEY)
                .orElse("")
                .lines()
                .map(line -> line.split("\t", 3))
                .filter(parts -> parts.length > 1)
                .map(Shared::of)
                .toList();
    }

    /** Adds one behind the others, or gives one that is there another penalty. */
    void add(Path folder, int penalty) {
        List<Shared> all = new ArrayList<>(all());
        boolean grows = all.stream().anyMatch(each -> each.folder().equals(folder) && each.grows());
        all.removeIf(each -> each.folder().equals(folder));
        all.add(new Shared(folder, penalty, grows));
        keep(all);
    }

    void remove(Path folder) {
        keep(all().stream().filter(each -> !each.folder().equals(folder)).toList());
    }

    void setGrows(Path folder, boolean grows) {
        keep(all().stream()
                .map(each -> each.folder().equals(folder) ? new Shared(folder, each.penalty(), grows) : each)
                .toList());
    }

    /** Gives one priority over the one before it: of equal matches, its own comes first. */
    void prefer(Path folder) {
        List<Shared> all = new ArrayList<>(all());
        for (int i = 1; i < all.size(); i++) {
            if (all.get(i).folder().equals(folder)) {
                Collections.swap(all, i, i - 1);
                break;
            }
        }
        keep(all);
    }

    private void keep(List<Shared> all) {
        StringBuilder written = new StringBuilder();
        all.forEach(each -> written.append(each.written()));
        LaneWriter.await(settings.set(KEY, written.toString()));
    }
}
