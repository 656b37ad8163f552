package org.swaplane.desktop.session;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.swaplane.effort.Visit;
import org.swaplane.lane.EditOutcome;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;

/**
 * What was done in the window and is not on disk yet, in its order. It shows at once; it is written one piece after the other, and
 * what cannot be written stays here and is tried again. Lives on the window's thread.
 */
final class Outbox {
    private final Executor window;
    private final Listener listener;
    private final Deque<Entry> entries = new ArrayDeque<>();
    private boolean writing;
    private boolean failing;
    /** What the first becomes when it is written. */
    private CompletableFuture<?> inFlight = CompletableFuture.completedFuture(null);
    /** Done as soon as nothing is being written any more: all is, or the first could not be. */
    private CompletableFuture<Void> rest = CompletableFuture.completedFuture(null);

    /** Hears what becomes of what was put in. */
    interface Listener {
        /** Something was put in, written or given up: what is shown may be another. */
        void changed();

        /** The first could not be written; {@link Outbox#tryAgain} does so. */
        void failed(Throwable failure);

        /** What had failed is written now. */
        void recovered();
    }

    /** Something to be written. */
    private abstract static class Entry {
        abstract CompletableFuture<?> write();

        /** What it makes of a snapshot of its track. */
        TrackSnapshot over(TrackSnapshot snapshot) {
            return snapshot;
        }

        Optional<Track> track() {
            return Optional.empty();
        }

        abstract void done(Object result);
    }

    private final class Edit extends Entry {
        private final java.util.function.Function<EditRequest, CompletableFuture<EditOutcome>> writer;
        private final Consumer<EditOutcome> done;
        private EditRequest request;

        Edit(
                EditRequest request,
                java.util.function.Function<EditRequest, CompletableFuture<EditOutcome>> writer,
                Consumer<EditOutcome> done) {
            this.request = request;
            this.writer = writer;
            this.done = done;
        }

        @Override
        CompletableFuture<?> write() {
            return writer.apply(request);
        }

        @Override
        TrackSnapshot over(TrackSnapshot snapshot) {
            Map<Integer, Value> edits = new HashMap<>();
            for (EditRequest.Wanted wanted : request.wanted()) {
                OptionalInt index = snapshot.index(wanted.key());
                boolean same = index.isPresent()
                        && snapshot.segment(index.getAsInt()).source().equals(wanted.source());
                if (same) {
                    edits.put(index.getAsInt(), wanted.after());
                }
            }
            return snapshot.with(edits);
        }

        @Override
        Optional<Track> track() {
            return Optional.of(request.track());
        }

        @Override
        void done(Object result) {
            done.accept((EditOutcome) result);
        }

        /** Whether typing in this visit can still become part of it: it waits, and is of the same visit and segment. */
        private boolean takes(EditRequest other) {
            return request.kind() == StepKind.TYPED
                    && request.visit().map(Visit::number).equals(other.visit().map(Visit::number))
                    && request.visit().isPresent()
                    && request.track() == other.track()
                    && request.wanted()
                            .get(0)
                            .key()
                            .equals(other.wanted().get(0).key());
        }

        private void take(EditRequest other) {
            EditRequest.Wanted first = request.wanted().get(0);
            EditRequest.Wanted now = other.wanted().get(0);
            request = new EditRequest(
                    other.track(),
                    other.kind(),
                    other.who(),
                    other.trip(),
                    other.visit(),
                    java.util.List.of(new EditRequest.Wanted(first.key(), first.source(), first.base(), now.after())));
        }
    }

    private static final class Other<T> extends Entry {
        private final Supplier<CompletableFuture<T>> work;
        private final Consumer<T> done;

        Other(Supplier<CompletableFuture<T>> work, Consumer<T> done) {
            this.work = work;
            this.done = done;
        }

        @Override
        CompletableFuture<?> write() {
            return work.get();
        }

        @SuppressWarnings("unchecked")
        @Override
        void done(Object result) {
            done.accept((T) result);
        }
    }

    Outbox(Executor window, Listener listener) {
        this.window = window;
        this.listener = listener;
    }

    /** Puts an edit in; what is typed on in one visit is one piece as long as it waits. */
    void edit(
            EditRequest request,
            java.util.function.Function<EditRequest, CompletableFuture<EditOutcome>> writer,
            Consumer<EditOutcome> done) {
        if (request.wanted().isEmpty()) {
            return;
        }
        // The first is being written already, so it cannot become another.
        boolean waits = entries.size() > 1 || !entries.isEmpty() && !writing;
        if (waits && entries.getLast() instanceof Edit last && last.takes(request)) {
            last.take(request);
            listener.changed();
            return;
        }
        put(new Edit(request, writer, done));
    }

    /** Puts something else in, which comes after all that was put in before. */
    <T> void then(Supplier<CompletableFuture<T>> work, Consumer<T> done) {
        put(new Other<>(work, done));
    }

    private void put(Entry entry) {
        if (rest.isDone() && !failing) {
            rest = new CompletableFuture<>();
        }
        entries.add(entry);
        listener.changed();
        writeNext();
    }

    private void writeNext() {
        if (entries.isEmpty()) {
            rest.complete(null);
        } else if (!writing && !failing) {
            write(false);
        }
    }

    private void write(boolean again) {
        writing = true;
        Entry first = entries.peek();
        inFlight = first.write();
        inFlight.whenComplete((result, failure) -> window.execute(() -> ended(first, again, result, failure)));
    }

    private void ended(Entry entry, boolean again, Object result, Throwable failure) {
        if (entries.peek() != entry || !writing) {
            // Somebody waited for it and knows already.
            return;
        }
        writing = false;
        if (failure != null) {
            failing = true;
            listener.failed(
                    failure instanceof CompletionException && failure.getCause() != null
                            ? failure.getCause()
                            : failure);
            if (failing) {
                rest.complete(null);
            }
            return;
        }
        if (again) {
            listener.recovered();
        }
        entries.poll();
        entry.done(result);
        listener.changed();
        writeNext();
    }

    /** Tries again what could not be written. */
    void tryAgain() {
        if (failing) {
            failing = false;
            rest = new CompletableFuture<>();
            write(true);
        }
    }

    /** Gives up the first, which can never be written. */
    void giveUp() {
        failing = false;
        entries.poll();
        listener.changed();
        writeNext();
    }

    /** Gives up everything that is not written, as somebody decided who was told. */
    void abandon() {
        failing = false;
        writing = false;
        entries.clear();
        listener.changed();
        writeNext();
    }

    /** Done, on the window's thread, as soon as nothing is being written any more: all is, or the first cannot be written now. */
    CompletableFuture<Void> settled() {
        return rest;
    }

    /** Waits until all is written; for a thread that stands for a window that is gone. Ends where something cannot be written. */
    void drain() {
        while (!entries.isEmpty() && !failing) {
            writeNext();
            Entry first = entries.peek();
            Object result = null;
            Throwable failure = null;
            try {
                result = inFlight.join();
            } catch (CompletionException | CancellationException e) {
                failure = e;
            }
            ended(first, false, result, failure);
        }
    }

    boolean isEmpty() {
        return entries.isEmpty();
    }

    boolean isFailing() {
        return failing;
    }

    /** A snapshot with everything over it that waits here. */
    TrackSnapshot over(TrackSnapshot snapshot) {
        TrackSnapshot shown = snapshot;
        for (Entry entry : entries) {
            if (entry.track().filter(track -> track == snapshot.track()).isPresent()) {
                shown = entry.over(shown);
            }
        }
        return shown;
    }
}
