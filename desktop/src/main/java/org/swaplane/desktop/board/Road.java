package org.swaplane.desktop.board;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Track;
import org.swaplane.lane.Trip;

/**
 * A road with two lanes: the far one is 'away', the near one 'with us'. The line of the file runs along time, crosses over when
 * a copy goes out and back when it returns; the marker is where the file is now.
 */
final class Road extends Pane {
    private static final double FAR = 32;
    private static final double NEAR = 76;
    private static final double SLOPE = 36;

    private final List<Stop> stops = new ArrayList<>();
    private final Instant begin;
    private final Instant now;

    /** A crossing at a time, with what is written beside it. */
    private record Stop(Instant at, boolean out, String words) {}

    /** Room for the names of the lanes. */
    private final double left =
            24 + Parts.widest(List.of(Strings.say("board.lane.away"), Strings.say("board.lane.with-us")));

    /** Room for who has the file now. */
    private final double right =
            40 + Parts.widest(List.of(Strings.say("board.now.away"), Strings.say("board.now.with-us")));

    Road(Track track, List<Trip> trips, Lane lane) {
        getStyleClass().add("road");
        setMinHeight(108);
        setPrefHeight(108);
        now = lane.clock().instant();
        begin = track.takenInAt();
        for (Trip trip : trips) {
            stops.add(new Stop(
                    trip.sentAt(), true, Strings.say("board.away-with", trip.person(), Dates.day(trip.sentAt()))));
            trip.back()
                    .ifPresent(back -> stops.add(new Stop(
                            back.at(),
                            false,
                            Strings.say("board.back-from", Dates.day(back.at()), back.changesTaken()))));
        }
        widthProperty().addListener((property, before, width) -> draw(width.doubleValue()));
    }

    private void draw(double width) {
        getChildren().clear();
        getChildren().addAll(surface(width), middle(width));
        text("board.lane.away", 12, FAR - 9, "road-lane-away");
        text("board.lane.with-us", 12, NEAR - 9, "road-lane-near");
        List<Path> paths = new ArrayList<>();
        paths.add(stretch(left, NEAR));
        double at = left;
        double level = NEAR;
        List<Label> labels = new ArrayList<>();
        labels.add(label(Strings.say("board.taken-in", Dates.day(begin)), left, NEAR + 6));
        for (Stop stop : stops) {
            double crossing = Math.max(at + 4, Math.min(x(stop.at(), width), width - right - SLOPE));
            double next = stop.out() ? FAR : NEAR;
            last(paths).getElements().add(new LineTo(crossing, level));
            last(paths)
                    .getElements()
                    .add(new CubicCurveTo(
                            crossing + SLOPE / 2, level, crossing + SLOPE / 2, next, crossing + SLOPE, next));
            Label words = label(stop.words(), crossing + SLOPE, stop.out() ? FAR - 26 : NEAR + 6);
            if (crossing > width / 2) {
                // On the right half there is more room to the left.
                words.layoutXProperty().bind(words.widthProperty().multiply(-1).add(crossing + SLOPE));
            }
            labels.add(words);
            at = crossing + SLOPE;
            level = next;
            paths.add(stretch(at, level));
        }
        double end = Math.max(at + 8, width - right);
        last(paths).getElements().add(new LineTo(end, level));
        Circle marker = Parts.styled(new Circle(end, level, 8), level == FAR ? "road-marker-away" : "road-marker-near");
        Label here =
                Parts.styled(new Label(Strings.say(level == FAR ? "board.now.away" : "board.now.with-us")), "road-now");
        here.relocate(end + 14, level - 10);
        getChildren().addAll(paths);
        getChildren().addAll(marker, here);
        getChildren().addAll(labels);
    }

    /** A stretch of the line on one lane; the crossing belongs to the lane that it leaves. */
    private static Path stretch(double x, double level) {
        Path path = Parts.styled(new Path(new MoveTo(x, level)), "road-line");
        if (level == FAR) {
            path.getStyleClass().add("road-line-away");
        }
        return path;
    }

    private static Path last(List<Path> paths) {
        return paths.get(paths.size() - 1);
    }

    private double x(Instant at, double width) {
        double whole = Math.max(1, Duration.between(begin, now).toMillis());
        double share = Duration.between(begin, at).toMillis() / whole;
        return left + 40 + share * (width - left - right - 80);
    }

    private static Region surface(double width) {
        Region surface = Parts.styled(new Region(), "road-surface");
        surface.resizeRelocate(0, 6, width, 96);
        surface.setManaged(false);
        return surface;
    }

    private static Line middle(double width) {
        double y = (FAR + NEAR) / 2;
        Line line = Parts.styled(new Line(12, y, width - 12, y), "road-middle");
        return line;
    }

    private void text(String key, double x, double y, String style) {
        Label label = Parts.styled(new Label(Strings.say(key)), style);
        label.relocate(x, y);
        getChildren().add(label);
    }

    private static Label label(String words, double x, double y) {
        Label label = Parts.styled(new Label(words), "road-label");
        label.relocate(x, y);
        return label;
    }
}
