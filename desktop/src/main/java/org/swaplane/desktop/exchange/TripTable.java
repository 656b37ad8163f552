package org.swaplane.desktop.exchange;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Trip;

/** All trips of the lane, the newest first: who has what, since when, and what came back. */
final class TripTable extends TableView<Trip> {
    TripTable(LaneSession session) {
        setId("trips");
        setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        setPlaceholder(Controls.quiet(Strings.text("exchange.no-trips")));
        column("state", 92, TripTable::state);
        column("person", 104, Trip::person);
        column("file", 150, trip -> session.lane().track(trip.track()).name());
        column(
                "purpose",
                80,
                trip -> Strings.text("purpose." + trip.purpose().name().toLowerCase(Locale.ROOT)));
        column("sent", 76, trip -> Dates.day(trip.sentAt()));
        column("back", 140, trip -> trip.back()
                .map(back -> Dates.minute(back.at()))
                .orElse(""));
        column("changes", 104, trip -> trip.back()
                .map(back -> Strings.text("lanes.number", back.changesTaken()))
                .orElse(""));
        column("code", 72, Trip::code);
    }

    private void column(String key, double width, Function<Trip, String> words) {
        TableColumn<Trip, Trip> column = new TableColumn<>(Strings.text("trip.column." + key));
        column.setPrefWidth(width);
        column.setMinWidth(40);
        column.setCellValueFactory(row -> new ReadOnlyObjectWrapper<>(row.getValue()));
        column.setCellFactory(any -> new WordsCell(words));
        boolean dated = key.equals("sent") || key.equals("back");
        column.setComparator(
                dated
                        ? Comparator.comparing(trip -> key.equals("sent")
                                ? trip.sentAt().toString()
                                : trip.back().map(back -> back.at().toString()).orElse(""))
                        : Comparator.comparing(words));
        getColumns().add(column);
    }

    private static String state(Trip trip) {
        return Strings.text(trip.back().isPresent() ? "trip.back" : trip.isAway() ? "trip.away" : "trip.withdrawn");
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

    private static final class WordsCell extends TableCell<Trip, Trip> {
        private final Function<Trip, String> words;

        private WordsCell(Function<Trip, String> words) {
            this.words = words;
        }

        @Override
        protected void updateItem(Trip trip, boolean empty) {
            super.updateItem(trip, empty);
            setText(empty || trip == null ? null : words.apply(trip));
        }
    }
}
