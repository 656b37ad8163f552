package org.swaplane.desktop.board;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.SourceVersion;
import org.swaplane.lane.Track;
import org.swaplane.lane.Trip;

/**
 * A track along time as a road with two lanes: below 'with us', above 'away'. Every trip is a strand of its own that crosses over when the
 * copy goes out and comes back when it returns; strands that are away at the same time run side by side. The marker is where the file is.
 */
final class TrackTimeline extends Pane {
    private static final double SMALL_STRAND = 7;
    private static final double LARGE_STRAND = 26;
    private static final double SMALL_HEIGHT = 36;
    private static final double LANE_NAMES = 96;
    private static final double MOST_STRANDS = 4;

    private final boolean large;
    private final double strand;
    private Instant begin = Instant.EPOCH;
    private Instant now = Instant.EPOCH;
    private List<Strand> strands = List.of();
    /** The version that is worked at, where it is not the first. */
    private Optional<SourceVersion> version = Optional.empty();

    /** A trip, and how far up it runs: 0 is next to the middle of the road. */
    private record Strand(Trip trip, int level) {}

    /** {@code large} has words beside the lines; without them it fits into a row. */
    TrackTimeline(boolean large) {
        this.large = large;
        this.strand = large ? LARGE_STRAND : SMALL_STRAND;
        getStyleClass().add("timeline");
        setMinWidth(0);
        setPrefWidth(120);
        widthProperty().addListener(property -> draw());
    }

    void show(Track track, List<Trip> trips, Instant at) {
        begin = track.takenInAt();
        now = at;
        strands = strands(trips);
        version = Optional.of(track.version()).filter(each -> each.number() > 1);
        double height = large ? strand * (levels() + 1) + 56 : SMALL_HEIGHT;
        setMinHeight(height);
        setPrefHeight(height);
        setMaxHeight(height);
        draw();
    }

    /** Each trip gets the lowest level that no other has at that time. */
    private List<Strand> strands(List<Trip> trips) {
        List<Strand> placed = new ArrayList<>();
        List<Instant> freeFrom = new ArrayList<>();
        for (Trip trip : trips) {
            int level = 0;
            while (level < freeFrom.size() && freeFrom.get(level).isAfter(trip.sentAt())) {
                level++;
            }
            Instant end = trip.back().map(Trip.Back::at).orElse(Instant.MAX);
            if (level == freeFrom.size()) {
                freeFrom.add(end);
            } else {
                freeFrom.set(level, end);
            }
            placed.add(new Strand(trip, (int) Math.min(level, MOST_STRANDS - 1)));
        }
        return placed;
    }

    private int levels() {
        return strands.stream().mapToInt(Strand::level).max().orElse(0);
    }

    private double near() {
        return getPrefHeight() - (large ? 28 : 9);
    }

    private double far(int level) {
        return near() - (large ? 34 : 13) - level * strand;
    }

    private double left() {
        return large ? LANE_NAMES : 4;
    }

    private double x(Instant at) {
        double whole = Math.max(1, Duration.between(begin, now).toMillis());
        double share = Math.min(1, Math.max(0, Duration.between(begin, at).toMillis() / whole));
        return left() + 8 + share * (getWidth() - left() - 24);
    }

    private void draw() {
        getChildren().clear();
        if (getWidth() < 40) {
            return;
        }
        surface();
        double end = getWidth() - 12;
        boolean away = false;
        getChildren().add(line("timeline-near", new MoveTo(left(), near()), new LineTo(end, near())));
        for (Strand each : strands) {
            draw(each, end);
            away |= each.trip().isAway();
        }
        version.map(each -> x(each.addedAt())).ifPresent(at -> getChildren()
                .add(line("timeline-near", new MoveTo(at, near() - 6), new LineTo(at, near() + 6))));
        Circle marker = new Circle(end, away ? far(0) : near(), large ? 7 : 4);
        getChildren().add(Controls.styled(marker, away ? "timeline-marker-away" : "timeline-marker-near"));
        if (large) {
            words();
        } else {
            Tooltip.install(this, new Tooltip(inWords()));
        }
    }

    private void surface() {
        Region surface = Controls.styled(new Region(), "timeline-surface");
        surface.setManaged(false);
        surface.resizeRelocate(0, 0, getWidth(), getPrefHeight());
        getChildren().add(surface);
    }

    private void draw(Strand each, double end) {
        double slope = large ? 24 : 8;
        double out = Math.min(x(each.trip().sentAt()), end - 2 * slope);
        double back = each.trip().back().map(there -> x(there.at())).orElse(end);
        double top = far(each.level());
        double turn = Math.max(out + slope, back - slope);
        Path path = line(
                "timeline-away",
                new MoveTo(out, near()),
                new CubicCurveTo(out + slope / 2, near(), out + slope / 2, top, out + slope, top));
        path.getElements().add(new LineTo(each.trip().back().isPresent() ? turn : end, top));
        if (each.trip().back().isPresent()) {
            path.getElements()
                    .add(new CubicCurveTo(turn + slope / 2, top, turn + slope / 2, near(), turn + slope, near()));
        }
        getChildren().add(path);
    }

    private static Path line(String style, javafx.scene.shape.PathElement... elements) {
        return Controls.styled(Controls.styled(new Path(elements), "timeline-line"), style);
    }

    /** Beside each line what it is; a text that has no room before the next one is cut off and whole in its tooltip. */
    private void words() {
        Label away = Controls.styled(new Label(Strings.text("board.lane.away")), "timeline-name-away");
        away.relocate(10, far(0) - 9);
        Label with = Controls.styled(new Label(Strings.text("board.lane.with-us")), "timeline-name-near");
        with.relocate(10, near() - 9);
        getChildren().addAll(away, with);
        List<Label> below = new ArrayList<>();
        below.add(label(Strings.text("board.taken-in", Dates.day(begin)), left() + 4, near() + 5));
        for (Strand each : strands) {
            Trip trip = each.trip();
            double from = Math.min(x(trip.sentAt()), getWidth() - 180) + 28;
            Label sent = label(
                    Strings.text("board.away-with", trip.person(), Dates.day(trip.sentAt())),
                    from,
                    far(each.level()) - 20);
            double until = trip.back().map(back -> x(back.at())).orElse(getWidth());
            sent.setMaxWidth(Math.max(60, until - from));
            trip.back()
                    .ifPresent(back -> below.add(label(
                            Strings.text("board.back-from", Dates.day(back.at()), back.changesTaken()),
                            Math.min(x(back.at()), getWidth() - 180),
                            near() + 5)));
        }
        version.ifPresent(each -> below.add(label(
                Strings.text("board.version", each.number(), Dates.day(each.addedAt())),
                Math.min(x(each.addedAt()), getWidth() - 180),
                near() + 5)));
        below.sort(Comparator.comparingDouble(Label::getLayoutX));
        for (int i = 0; i + 1 < below.size(); i++) {
            double room = below.get(i + 1).getLayoutX() - below.get(i).getLayoutX() - 8;
            below.get(i).setMaxWidth(Math.max(0, room));
        }
    }

    private Label label(String words, double x, double y) {
        Label label = Controls.styled(new Label(words), "timeline-label");
        label.setTooltip(new Tooltip(words));
        label.relocate(x, y);
        getChildren().add(label);
        return label;
    }

    private String inWords() {
        StringBuilder words = new StringBuilder(Strings.text("board.taken-in", Dates.day(begin)));
        for (Strand each : strands) {
            Trip trip = each.trip();
            words.append('\n').append(Strings.text("board.away-with", trip.person(), Dates.day(trip.sentAt())));
            trip.back().ifPresent(back -> words.append(", ")
                    .append(Strings.text("board.back-from", Dates.day(back.at()), back.changesTaken())));
        }
        return words.toString();
    }
}
