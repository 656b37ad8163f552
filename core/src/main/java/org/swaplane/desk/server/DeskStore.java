package org.swaplane.desk.server;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.swaplane.desk.DeskReceipt;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Closing;
import org.swaplane.wording.Phrase;

/** The state of a desk: a SQLite file, and the files of each task in a folder of its own. One thread at a time. */
final class DeskStore implements AutoCloseable {
    private static final List<String> TABLES = List.of(
            "create table if not exists task (id text primary key, json text not null) without rowid",
            "create table if not exists verdict (task text not null, number integer not null, sha256 text not null,"
                    + " version integer not null, json text not null, primary key (task, number)) without rowid",
            "create table if not exists receipt (task text not null, json text not null, given_back text not null default '')",
            "create table if not exists event (id integer primary key, task text not null, at text not null,"
                    + " who text not null, what text not null)");
    private static final ObjectMapper JSON = new ObjectMapper();

    private final Path folder;
    private final Clock clock;
    private final Connection connection;

    /** Something that happened to a task. */
    record Event(String at, String who, String what) {}

    private interface RowReader<T> {
        T read(ResultSet row) throws SQLException;
    }

    DeskStore(Path folder, Clock clock) throws IOException {
        this.folder = folder;
        this.clock = clock;
        Files.createDirectories(folder);
        try {
            connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("desk.db"));
        } catch (SQLException e) {
            throw failed(e);
        }
        try (Statement statement = connection.createStatement()) {
            statement.execute("pragma journal_mode = wal");
            for (String table : TABLES) {
                statement.execute(table);
            }
        } catch (SQLException e) {
            CannotProceedException failure = failed(e);
            Closing.after(failure, connection);
            throw failure;
        }
    }

    /** Has several changes stand or fall together. */
    synchronized void together(Runnable changes) {
        try {
            connection.setAutoCommit(false);
            try {
                changes.run();
                connection.commit();
            } catch (RuntimeException e) {
                connection.rollback();
                throw e;
            } finally {
                connection.setAutoCommit(true);
            }
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    String now() {
        return clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
    }

    /** Where the client's files of a task lie. */
    Path files(String id) {
        return folder.resolve("tasks").resolve(id).resolve("files");
    }

    /** Where the client's memory of a task lies, if it has one. */
    Path memory(String id) {
        return folder.resolve("tasks").resolve(id).resolve("memory.tmx");
    }

    Path references(String id) {
        return folder.resolve("tasks").resolve(id).resolve("references");
    }

    /** A folder of a task for packages that go out or come in. */
    Path packages(String id, String kind) throws IOException {
        Path packages = folder.resolve("tasks").resolve(id).resolve(kind);
        Files.createDirectories(packages);
        return packages;
    }

    synchronized List<DeskTask> tasks() {
        return query(
                row -> parse(row.getString(1), new TypeReference<DeskTask>() {}), "select json from task order by id");
    }

    synchronized Optional<DeskTask> task(String id) {
        return query(
                        row -> parse(row.getString(1), new TypeReference<DeskTask>() {}),
                        "select json from task where id = ?",
                        id)
                .stream()
                .findFirst();
    }

    synchronized void put(DeskTask task) {
        update("insert or replace into task values (?, ?)", task.id(), written(task));
    }

    synchronized List<DeskVerdict> verdicts(String id) {
        return query(
                row -> parse(row.getString(1), new TypeReference<DeskVerdict>() {}),
                "select json from verdict where task = ? order by number",
                id);
    }

    /** The newest verdict of a package for a version of a task. */
    synchronized Optional<DeskVerdict> verdict(String id, int version, String sha256) {
        return query(
                        row -> parse(row.getString(1), new TypeReference<DeskVerdict>() {}),
                        "select json from verdict where task = ? and version = ? and sha256 = ? order by number desc",
                        id,
                        version,
                        sha256)
                .stream()
                .findFirst();
    }

    synchronized void add(String id, int version, DeskVerdict verdict) {
        update(
                "insert into verdict values (?, ?, ?, ?, ?)",
                id,
                verdict.number(),
                verdict.sha256(),
                version,
                written(verdict));
    }

    /** The receipt of a task that is closed. */
    synchronized Optional<DeskReceipt> receipt(String id) {
        return query(
                        row -> parse(row.getString(1), new TypeReference<DeskReceipt>() {}),
                        "select json from receipt where task = ? and given_back = ''",
                        id)
                .stream()
                .findFirst();
    }

    synchronized void add(DeskReceipt receipt) {
        update("insert into receipt (task, json) values (?, ?)", receipt.task(), written(receipt));
    }

    synchronized void giveBack(String id) {
        update("update receipt set given_back = ? where task = ? and given_back = ''", now(), id);
    }

    synchronized void note(String id, String who, String what) {
        update("insert into event (task, at, who, what) values (?, ?, ?, ?)", id, now(), who, what);
    }

    synchronized List<Event> events(String id) {
        return query(
                row -> new Event(row.getString(1), row.getString(2), row.getString(3)),
                "select at, who, what from event where task = ? order by id",
                id);
    }

    private <T> List<T> query(RowReader<T> reader, String sql, Object... values) {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            bind(statement, values);
            List<T> all = new ArrayList<>();
            try (ResultSet rows = statement.executeQuery()) {
                while (rows.next()) {
                    all.add(reader.read(rows));
                }
            }
            return all;
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    private void update(String sql, Object... values) {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            bind(statement, values);
            statement.executeUpdate();
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    private static void bind(PreparedStatement statement, Object[] values) throws SQLException {
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, values[i]);
        }
    }

    private static String written(Object value) {
        try {
            return JSON.writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new AssertionError("values only", e);
        }
    }

    private static <T> T parse(String json, TypeReference<T> type) throws SQLException {
        try {
            return JSON.readValue(json, type);
        } catch (JsonProcessingException e) {
            throw new SQLException(e);
        }
    }

    private CannotProceedException failed(SQLException e) {
        return new CannotProceedException(
                new CannotProceedException.Place(folder.toString(), 0, 0), Phrase.of("desk.state", e.getMessage()), e);
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
