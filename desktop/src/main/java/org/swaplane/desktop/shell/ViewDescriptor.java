package org.swaplane.desktop.shell;

import java.util.function.Function;
import java.util.function.ToIntFunction;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;

/**
 * A view, before it is made. Its place in the rail is its place in the list of all.
 *
 * @param badge how much waits in it; 0 shows nothing. Asked often, so it must cost nothing
 * @param factory makes it, once for a window
 */
public record ViewDescriptor(ViewId id, ToIntFunction<LaneSession> badge, Function<ViewContext, View> factory) {}
