package org.swaplane.desk;

import java.util.List;

/**
 * The tasks that a desk offers.
 *
 * @param refused why others of its tasks cannot be used, as sentences
 */
public record OfferedTasks(List<DeskTask> tasks, List<String> refused) {
    public OfferedTasks {
        tasks = List.copyOf(tasks);
        refused = List.copyOf(refused);
    }
}
