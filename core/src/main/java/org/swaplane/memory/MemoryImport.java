package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.atomic.AtomicReference;

/**
 * Adds many units to a memory at once, on all processors. Units with the same source are added one after the other, so that of the same
 * pair of texts the last one stays. Nothing is committed here.
 */
final class MemoryImport implements AutoCloseable {
    private static final int WAITING = 500;

    private final TranslationMemory memory;
    private final long[] there;
    private final List<Worker> workers = new ArrayList<>();
    private final AtomicReference<Throwable> failure = new AtomicReference<>();

    /** What a queue ends with. */
    private static final Object END = new Object();

    MemoryImport(TranslationMemory memory) throws IOException {
        this.memory = memory;
        this.there = memory.shortIds();
        Arrays.sort(there);
        for (int i = 0; i < Math.max(1, Runtime.getRuntime().availableProcessors()); i++) {
            Worker worker = new Worker(i);
            workers.add(worker);
            worker.start();
        }
    }

    /** Adds a unit soon. */
    void add(MemoryUnit unit) throws IOException {
        int hash = unit.source().plainText().hashCode();
        workers.get(Math.floorMod(hash, workers.size())).take(unit);
        throwFailure();
    }

    /** Waits until all that was added is there. */
    void finish() throws IOException {
        close();
        throwFailure();
    }

    /** Stops the work; what waits is still added. */
    @Override
    public void close() {
        for (Worker worker : workers) {
            worker.take(END);
        }
        for (Worker worker : workers) {
            try {
                worker.join();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        workers.clear();
    }

    private void throwFailure() throws IOException {
        Throwable thrown = failure.get();
        if (thrown instanceof IOException io) {
            throw io;
        }
        if (thrown != null) {
            throw new IOException(thrown);
        }
    }

    /** Adds the units of some sources in their order. */
    private final class Worker extends Thread {
        private final BlockingQueue<Object> queue = new ArrayBlockingQueue<>(WAITING);
        /** The first half of an id says enough: where two have the same, the index is asked. */
        private final LongSet added = new LongSet();

        private final LookupsFirst way = new LookupsFirst();

        Worker(int number) {
            super("memory-import-" + number);
            setDaemon(true);
        }

        void take(Object unit) {
            try {
                queue.put(unit);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        @Override
        public void run() {
            try {
                for (Object next = queue.take(); next != END; next = queue.take()) {
                    // After a failure the queue is emptied, so that nobody waits.
                    way.giveWay();
                    if (failure.get() == null) {
                        add((MemoryUnit) next);
                    }
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        private void add(MemoryUnit unit) {
            try {
                String id = unit.id();
                long first = TranslationMemory.shortId(id);
                if (added.add(first) && Arrays.binarySearch(there, first) < 0) {
                    memory.addNew(id, unit);
                } else {
                    memory.add(unit);
                }
            } catch (IOException | RuntimeException e) {
                failure.compareAndSet(null, e);
            }
        }
    }
}
