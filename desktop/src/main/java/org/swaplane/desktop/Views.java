package org.swaplane.desktop;

import java.util.List;
import org.swaplane.desktop.board.BoardView;
import org.swaplane.desktop.checks.ChecksView;
import org.swaplane.desktop.compare.CompareView;
import org.swaplane.desktop.desk.DeskView;
import org.swaplane.desktop.dryrun.DryRunView;
import org.swaplane.desktop.exchange.ExchangeView;
import org.swaplane.desktop.lanesettings.LaneSettingsView;
import org.swaplane.desktop.references.ReferencesView;
import org.swaplane.desktop.release.ReleaseView;
import org.swaplane.desktop.report.ReportView;
import org.swaplane.desktop.review.ReviewView;
import org.swaplane.desktop.shell.ViewDescriptor;

/** All views, in the order of the work. A new one is a class with a descriptor, and a line here. */
final class Views {
    static final List<ViewDescriptor> ALL = List.of(
            BoardView.DESCRIPTOR,
            DryRunView.DESCRIPTOR,
            ExchangeView.DESCRIPTOR,
            ReviewView.DESCRIPTOR,
            ChecksView.DESCRIPTOR,
            ReleaseView.DESCRIPTOR,
            DeskView.DESCRIPTOR,
            ReportView.DESCRIPTOR,
            ReferencesView.DESCRIPTOR,
            CompareView.DESCRIPTOR,
            LaneSettingsView.DESCRIPTOR);

    private Views() {}
}
