package org.swaplane.lane;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.sqlite.SQLiteConfig;
import org.swaplane.format.TemporaryFolder;
import org.swaplane.task.BlockingWork;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Closing;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/**
 * The lane's SQLite file. Every write is a transaction that is on disk when the call returns. Safe for several threads: one
 * connection writes, others read what was committed, and nobody waits for a reader.
 */
final class Database implements AutoCloseable {
    private static final Logger LOG = Logger.getLogger(Database.class.getName());

    private static final String URL = "jdbc:sqlite:";

    private final Path file;
    /** A copy that was brought up to date, where an older one is only read. */
    private final Optional<TemporaryFolder> copied;
    /** What is opened: the file itself, or its copy. */
    private final Path opened;

    private final boolean writable;
    private final Connection writer;
    /** What the file is on its disk: another one of the same name is another lane. */
    private final Object fileKey;
    /** Connections for reading that nobody uses now. */
    private final Deque<Connection> readers = new ArrayDeque<>();

    private boolean closed;

    /** The thread that has a transaction open reads what it wrote itself. */
    private volatile Thread inTransaction;

    /** Makes one value out of a row. */
    interface RowReader<T> {
        T read(ResultSet row) throws SQLException;
    }

    /** Statements that stand or fall together. */
    interface Work<T> {
        T run() throws Exception;
    }

    /** Opens the file, makes it when it is missing, and brings it up to date; not when it is only read. */
    Database(Path file, boolean writable) {
        this.file = file;
        this.writable = writable;
        try {
            copied = writable || Migrations.isCurrent(file) ? Optional.empty() : Optional.of(upToDate(file));
            opened = copied.map(Database::copyIn).orElse(file);
        } catch (SQLException | IOException e) {
            throw failed(e);
        }
        Connection connected = null;
        try {
            connected = connect();
            writer = connected;
            if (writable) {
                Migrations.run(writer, file.toString());
            }
            fileKey = key();
        } catch (SQLException | IOException e) {
            throw left(failed(e), connected);
        } catch (RuntimeException e) {
            throw left(e, connected);
        }
    }

    /** What went wrong while it was opened, after which nothing of it is left open. */
    private RuntimeException left(RuntimeException failure, Connection connected) {
        Closing.after(
                failure,
                () -> {
                    if (connected != null) {
                        connected.close();
                    }
                },
                this::deleteCopy);
        return failure;
    }

    private static Path copyIn(TemporaryFolder folder) {
        return folder.path().resolve("lane.db");
    }

    /** A copy of the file, brought up to date; the file itself is left to the program that wrote it. */
    private static TemporaryFolder upToDate(Path file) throws IOException, SQLException {
        TemporaryFolder folder = TemporaryFolder.make();
        try {
            try (Connection original = DriverManager.getConnection(URL + file);
                    PreparedStatement copying = original.prepareStatement("vacuum into ?")) {
                copying.setString(1, copyIn(folder).toString());
                copying.execute();
            }
            try (Connection connection = DriverManager.getConnection(URL + copyIn(folder))) {
                Migrations.run(connection, file.toString());
            }
            return folder;
        } catch (SQLException | RuntimeException | Error e) {
            Closing.after(e, folder);
            throw e;
        }
    }

    private void deleteCopy() throws IOException {
        if (copied.isPresent()) {
            copied.get().close();
        }
    }

    boolean isWritable() {
        return writable;
    }

    private Connection connect() throws SQLException {
        BlockingWork.begins();
        SQLiteConfig config = new SQLiteConfig();
        if (writable) {
            config.setJournalMode(SQLiteConfig.JournalMode.WAL);
            config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        }
        config.setBusyTimeout(5000);
        config.enforceForeignKeys(true);
        return config.createConnection(URL + opened);
    }

    private Object key() throws IOException {
        BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
        return attributes.fileKey() == null ? attributes.creationTime() : attributes.fileKey();
    }

    /** A file that was moved away or deleted can still be written to, and all of it would be lost. */
    private void checkThere() {
        if (!writable) {
            throw new CannotProceedException(file.toString(), "problem.lane-read-only");
        }
        try {
            if (Objects.equals(fileKey, key())) {
                return;
            }
        } catch (IOException e) {
            // It is not there, which is said below.
        }
        throw new LaneUnavailableException(file.toString(), Phrase.of("problem.lane-gone"), null);
    }

    /** Runs all of {@code work} or, where it fails, none of it. */
    synchronized <T> T transaction(Work<T> work) throws Exception {
        BlockingWork.begins();
        checkThere();
        try {
            writer.setAutoCommit(false);
            inTransaction = Thread.currentThread();
            T result = work.run();
            writer.commit();
            return result;
        } catch (SQLException e) {
            rollBack(e);
            throw failed(e);
        } catch (Exception | Error e) {
            rollBack(e);
            throw e;
        } finally {
            inTransaction = null;
            endTransaction();
        }
    }

    /** A full disk rolls back by itself, and then says that there is nothing to roll back; what was wrong first is what counts. */
    private void rollBack(Throwable cause) {
        try {
            writer.rollback();
        } catch (SQLException e) {
            cause.addSuppressed(e);
        }
    }

    private void endTransaction() {
        try {
            writer.setAutoCommit(true);
        } catch (SQLException e) {
            LOG.log(Level.FINE, "after a transaction that was rolled back already", e);
        }
    }

    /** Runs one statement and returns the id of the row that it inserted, if any. */
    synchronized long update(String sql, Object... values) {
        BlockingWork.begins();
        checkThere();
        try (PreparedStatement statement = writer.prepareStatement(sql, Statement.RETURN_GENERATED_KEYS)) {
            bind(statement, values);
            statement.executeUpdate();
            try (ResultSet keys = statement.getGeneratedKeys()) {
                return keys.next() ? keys.getLong(1) : 0;
            }
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    /** Runs one statement for many rows. */
    synchronized void updateAll(String sql, List<Object[]> rows) {
        BlockingWork.begins();
        checkThere();
        try (PreparedStatement statement = writer.prepareStatement(sql)) {
            for (Object[] row : rows) {
                bind(statement, row);
                statement.addBatch();
            }
            statement.executeBatch();
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    <T> List<T> query(RowReader<T> reader, String sql, Object... values) {
        BlockingWork.begins();
        try {
            if (Thread.currentThread() == inTransaction) {
                return query(writer, reader, sql, values);
            }
            Connection connection = borrow();
            try {
                return query(connection, reader, sql, values);
            } finally {
                giveBack(connection);
            }
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    /** Takes one row after the other. */
    interface RowTaker {
        void take(ResultSet row) throws SQLException;
    }

    /** Goes through rows without keeping them; one connection is busy meanwhile, and nobody waits for it. */
    void each(RowTaker taker, String sql, Object... values) {
        BlockingWork.begins();
        try {
            Connection connection = borrow();
            try (PreparedStatement statement = connection.prepareStatement(sql)) {
                bind(statement, values);
                try (ResultSet rows = statement.executeQuery()) {
                    while (rows.next()) {
                        taker.take(rows);
                    }
                }
            } finally {
                giveBack(connection);
            }
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    private static <T> List<T> query(Connection connection, RowReader<T> reader, String sql, Object... values)
            throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            bind(statement, values);
            List<T> result = new ArrayList<>();
            try (ResultSet rows = statement.executeQuery()) {
                while (rows.next()) {
                    result.add(reader.read(rows));
                }
            }
            return result;
        }
    }

    private Connection borrow() throws SQLException {
        synchronized (readers) {
            if (closed) {
                throw new SQLException("the lane is closed");
            }
            Connection idle = readers.poll();
            return idle != null ? idle : connect();
        }
    }

    private void giveBack(Connection connection) throws SQLException {
        synchronized (readers) {
            if (closed) {
                connection.close();
            } else {
                readers.push(connection);
            }
        }
    }

    private static void bind(PreparedStatement statement, Object[] values) throws SQLException {
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, values[i]);
        }
    }

    private CannotProceedException failed(Exception e) {
        return new LaneUnavailableException(file.toString(), Phrase.of("problem.lane-unavailable", Reason.of(e)), e);
    }

    @Override
    public void close() {
        List<AutoCloseable> steps = new ArrayList<>();
        synchronized (readers) {
            closed = true;
            steps.addAll(readers);
            readers.clear();
        }
        steps.add(this::closeWriter);
        steps.add(this::deleteCopy);
        try {
            Closing.inOrder(steps.toArray(AutoCloseable[]::new));
        } catch (IllegalStateException | UncheckedIOException e) {
            throw failed(e);
        }
    }

    private synchronized void closeWriter() throws SQLException {
        writer.close();
    }
}
