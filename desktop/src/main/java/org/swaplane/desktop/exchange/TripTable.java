package org.swaplane.desktop.exchange;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.control.TableView;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.exchange.DueTime;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.Trip;

/** All trips of the lane, the newest first: who has what, since when, and what came back. */
final class TripTable extends TableView<Trip> {
    private static final double DAY = 62;
    private static final DueTime LATEST = DueTime.of(LocalDate.MAX);

    TripTable(LaneSession session) {
        setId("trips");
        setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        setPlaceholder(Controls.quiet(Strings.text("exchange.no-trips")));
        column("state", 60, TripTable::state);
        column("person", 80, Trip::person);
        column("file", 112, trip -> session.lane().track(trip.track()).name());
        column(
                "purpose",
                64,
                trip -> Strings.text("purpose." + trip.purpose().name().toLowerCase(Locale.ROOT)));
        column("words", 64, trip -> trip.words() == 0 ? "" : Strings.text("lanes.number", trip.words()));
        day("sent", trip -> Optional.of(trip.sentAt()));
        getColumns()
                .add(new WordsColumn<>(
                        "trip.column.due",
                        DAY,
                        trip -> trip.due().map(Dates::due).orElse(""),
                        Comparator.comparing(trip -> trip.due().orElse(LATEST))));
        day("back", trip -> trip.back().map(Trip.Back::at));
        column("changes", 76, trip -> trip.back()
                .map(back -> Strings.text("lanes.number", back.changesTaken()))
                .orElse(""));
        column("code", 62, Trip::code);
        ScaledColumns.of(this, session.person());
    }

    private void column(String key, double width, Function<Trip, String> words) {
        getColumns().add(new WordsColumn<>("trip.column." + key, width, words));
    }

    /** Days stand in the order of time. */
    private void day(String key, Function<Trip, Optional<Instant>> at) {
        getColumns()
                .add(new WordsColumn<>(
                        "trip.column." + key,
                        DAY,
                        trip -> at.apply(trip).map(Dates::day).orElse(""),
                        Comparator.comparing(trip -> at.apply(trip).orElse(Instant.MAX))));
    }

    private static String state(Trip trip) {
        if (trip.isOverdue(LocalDateTime.now())) {
            return Strings.text("trip.overdue");
        }
        if (trip.back().isPresent() || trip.isAway()) {
            return Strings.text(trip.isAway() ? "trip.away" : "trip.back");
        }
        return Strings.text(trip.purpose() == Purpose.DELIVERY ? "trip.delivered" : "trip.withdrawn");
    }

    void show(List<Trip> trips) {
        List<Trip> newest = trips.stream()
                .sorted(Comparator.comparing(Trip::sentAt).reversed())
                .toList();
        if (!getItems().equals(newest)) {
            Trip selected = getSelectionModel().getSelectedItem();
            getItems().setAll(newest);
            sort();
            newest.stream()
                    .filter(trip -> selected != null && trip.code().equals(selected.code()))
                    .findFirst()
                    .ifPresent(getSelectionModel()::select);
        }
    }
}
