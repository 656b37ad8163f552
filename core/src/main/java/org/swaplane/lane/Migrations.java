package org.swaplane.lane;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.swaplane.task.CannotProceedException;

/** Brings the tables of a lane up to those of this program, one numbered script after the other; {@code user_version} says how far. */
final class Migrations {
    private static final List<String> SCRIPTS = List.of(
            "1-tables",
            "2-journal-by-key",
            "3-visits",
            "4-remarks-and-decisions-by-key",
            "5-counts",
            "6-plans",
            "7-trip-events",
            "8-source-versions",
            "9-trip-rate",
            "10-origins",
            "11-notes",
            "12-releases",
            "13-desk",
            "14-effort",
            "15-quality",
            "16-visit-beginning");

    /** Columns that the tables did not have before lanes were numbered. */
    private static final List<String> UNNUMBERED = List.of(
            "change.locked_before integer not null default 0",
            "change.locked_after integer not null default 0",
            "track.target_language text not null default ''",
            "track.source_language text not null default ''",
            "track.segmentation text not null default ''",
            "track.options text not null default ''",
            "dry_run.version text not null default ''");

    private Migrations() {}

    /**
     * Runs what is missing, each script as one transaction.
     *
     * @param file for the message
     * @throws CannotProceedException when a newer program wrote the lane
     */
    static void run(Connection connection, String file) throws SQLException {
        int version = version(connection);
        if (version > SCRIPTS.size()) {
            throw new CannotProceedException(file, "problem.lane-newer", version, SCRIPTS.size());
        }
        for (int number = version + 1; number <= SCRIPTS.size(); number++) {
            connection.setAutoCommit(false);
            try (Statement statement = connection.createStatement()) {
                run(number, statement);
                statement.execute("pragma user_version = " + number);
                connection.commit();
            } catch (SQLException e) {
                connection.rollback();
                throw e;
            } finally {
                connection.setAutoCommit(true);
            }
        }
    }

    /**
     * Whether a file has the tables of this program.
     *
     * @throws CannotProceedException when a newer program wrote it
     */
    static boolean isCurrent(Path file) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file)) {
            int version = version(connection);
            if (version > SCRIPTS.size()) {
                throw new CannotProceedException(file.toString(), "problem.lane-newer", version, SCRIPTS.size());
            }
            return version == SCRIPTS.size();
        }
    }

    static int version(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("pragma user_version")) {
            return row.getInt(1);
        }
    }

    private static void run(int number, Statement statement) throws SQLException {
        for (String sql : script(SCRIPTS.get(number - 1)).split(";\\s*\n")) {
            if (!sql.isBlank()) {
                statement.execute(sql);
            }
        }
        if (number == 1) {
            for (String column : UNNUMBERED) {
                addColumn(statement, column);
            }
        }
    }

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

    private static String script(String name) {
        try (InputStream in = Migrations.class.getResourceAsStream("migration/" + name + ".sql")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new AssertionError("the scripts are part of the program", e);
        }
    }
}
