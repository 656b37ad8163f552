package org.swaplane.desktop.shell;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;

/**
 * What a view is made with.
 *
 * @param apart opens files that belong to no lane in a window of their own; empty in such a window
 */
public record ViewContext(
        LaneSession session, FilePicker picker, FileOpener opener, Optional<Consumer<List<Path>>> apart) {}
