package org.swaplane.lane;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.sqlite.SQLiteConfig;
import org.swaplane.task.CannotProceedException;

/** The lane's SQLite file. Every write is a transaction that is on disk when the call returns. Safe for several threads. */
final class Database implements AutoCloseable {
    /** Columns that tables of the first version did not have. */
    private static final List<String> ADDED_COLUMNS = List.of(
            "change.locked_before integer not null default 0",
            "change.locked_after integer not null default 0",
            "track.target_language text not null default ''",
            "track.source_language text not null default ''",
            "track.segmentation text not null default ''",
            "track.options text not null default ''",
            "dry_run.version text not null default ''");

    private final Path file;
    private final Connection connection;

    /** Makes one value out of a row. */
    interface RowReader<T> {
        T read(ResultSet row) throws SQLException;
    }

    /** Statements that stand or fall together. */
    interface Work<T> {
        T run() throws SQLException;
    }

    Database(Path file) {
        this.file = file;
        SQLiteConfig config = new SQLiteConfig();
        config.setJournalMode(SQLiteConfig.JournalMode.WAL);
        config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        config.setBusyTimeout(5000);
        config.enforceForeignKeys(true);
        try {
            connection = config.createConnection("jdbc:sqlite:" + file);
            try (Statement statement = connection.createStatement()) {
                for (String sql : schema().split(";\\s*\n")) {
                    if (!sql.isBlank()) {
                        statement.execute(sql);
                    }
                }
                for (String added : ADDED_COLUMNS) {
                    addColumn(statement, added);
                }
            }
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    /** Brings the tables of a lane of an earlier version up to the schema; {@code added} as {@code table.column type}. */
    private static void addColumn(Statement statement, String added) throws SQLException {
        String table = added.substring(0, added.indexOf('.'));
        String column = added.substring(table.length() + 1, added.indexOf(' '));
        try (ResultSet there = statement.executeQuery(
                "select 1 from pragma_table_info('" + table + "') where name = '" + column + "'")) {
            if (there.next()) {
                return;
            }
        }
        statement.execute("alter table " + table + " add column " + added.substring(table.length() + 1));
    }

    private static String schema() {
        try (InputStream in = Database.class.getResourceAsStream("schema.sql")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new AssertionError("the schema is part of the program", e);
        }
    }

    synchronized <T> T transaction(Work<T> work) {
        try {
            connection.setAutoCommit(false);
            try {
                T result = work.run();
                connection.commit();
                return result;
            } catch (SQLException | RuntimeException e) {
                connection.rollback();
                throw e;
            } finally {
                connection.setAutoCommit(true);
            }
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    /** Runs one statement and returns the id of the row that it inserted, if any. */
    synchronized long update(String sql, Object... values) {
        try (PreparedStatement statement = connection.prepareStatement(sql, Statement.RETURN_GENERATED_KEYS)) {
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
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            for (Object[] row : rows) {
                bind(statement, row);
                statement.addBatch();
            }
            statement.executeBatch();
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    synchronized <T> List<T> query(RowReader<T> reader, String sql, Object... values) {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            bind(statement, values);
            List<T> result = new ArrayList<>();
            try (ResultSet rows = statement.executeQuery()) {
                while (rows.next()) {
                    result.add(reader.read(rows));
                }
            }
            return result;
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    private static void bind(PreparedStatement statement, Object[] values) throws SQLException {
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, values[i]);
        }
    }

    private CannotProceedException failed(SQLException e) {
        return new CannotProceedException(
                new CannotProceedException.Place(file.toString(), 0, 0),
                "the lane cannot be read or written (" + e.getMessage() + ")",
                "check that the folder is writable and not open in another program",
                e);
    }

    @Override
    public synchronized void close() {
        try {
            connection.close();
        } catch (SQLException e) {
            throw failed(e);
        }
    }
}
