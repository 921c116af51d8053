package org.undanus.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;

/**
 * Makes a large register of a small one: every installation of a stopped server's database is copied so many times, with visits,
 * units and readings. What the journal says of it no longer holds. Arguments: database address, copies, references of those to copy
 * where not all are.
 */
public final class RegisterFill {
    /** So much of an id is kept; the rest is the copy's number. */
    private static final int KEPT = 28;

    private static final int AT_ONCE = 200;

    /** @param ids columns that another copy has its own of */
    private record Copied(String table, String columns, String of, String order, Set<String> ids) {
        List<String> names() {
            return List.of(columns.split(", "));
        }

        String read() {
            return "SELECT " + columns + " FROM " + table + " WHERE " + of + " = ? ORDER BY " + order;
        }

        String write() {
            return "INSERT INTO " + table + " (" + columns + ") VALUES ("
                    + String.join(", ", Collections.nCopies(names().size(), "?")) + ")";
        }

        Object other(int column, Object value, int copy) {
            String name = names().get(column);
            if (name.equals("reference")) {
                return value + "-" + copy;
            }
            return ids.contains(name) ? value.toString().substring(0, KEPT) + String.format("%08d", copy) : value;
        }
    }

    private static final List<Copied> TABLES = List.of(
            new Copied(
                    "installation",
                    "id, reference, site_id, title, system, crew, replacement, rule_book, rule_book_version, version",
                    "id",
                    "id",
                    Set.of("id")),
            new Copied(
                    "component",
                    "installation_id, id, kind, title, own_supply, place",
                    "installation_id",
                    "place",
                    Set.of("installation_id")),
            new Copied(
                    "visit",
                    "id, installation_id, stage, visited_on",
                    "installation_id",
                    "sequence",
                    Set.of("id", "installation_id")),
            new Copied(
                    "reading",
                    "id, installation_id, visit_id, point, component, typed, si, standard_uncertainty, resolution, unit, instrument,"
                            + " grade, entered_by, entered_at, by_crew",
                    "installation_id",
                    "sequence",
                    Set.of("id", "installation_id", "visit_id")));

    private RegisterFill() {}

    public static void main(String[] arguments) throws SQLException {
        int copies = Integer.parseInt(arguments[1]);
        try (Connection connection = DriverManager.getConnection(arguments[0], "sa", "")) {
            connection.setAutoCommit(false);
            for (String original : originals(connection, List.of(arguments).subList(2, arguments.length))) {
                for (Copied each : TABLES) {
                    copy(connection, each, original, copies - 1);
                }
            }
            connection.commit();
            try (Statement statement = connection.createStatement()) {
                statement.execute("SHUTDOWN COMPACT");
            }
        }
    }

    private static List<String> originals(Connection connection, List<String> references) throws SQLException {
        List<String> ids = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("SELECT id, reference FROM installation ORDER BY id")) {
            while (rows.next()) {
                if (references.isEmpty() || references.contains(rows.getString(2))) {
                    ids.add(rows.getString(1));
                }
            }
        }
        return ids;
    }

    private static void copy(Connection connection, Copied what, String original, int copies) throws SQLException {
        List<Object[]> rows = rows(connection, what, original);
        try (PreparedStatement insert = connection.prepareStatement(what.write())) {
            for (int copy = 1; copy <= copies; copy++) {
                for (Object[] row : rows) {
                    for (int column = 0; column < row.length; column++) {
                        insert.setObject(column + 1, what.other(column, row[column], copy));
                    }
                    insert.addBatch();
                }
                if (copy % AT_ONCE == 0 || copy == copies) {
                    insert.executeBatch();
                    connection.commit();
                }
            }
        }
    }

    private static List<Object[]> rows(Connection connection, Copied what, String original) throws SQLException {
        List<Object[]> rows = new ArrayList<>();
        try (PreparedStatement read = connection.prepareStatement(what.read())) {
            read.setString(1, original);
            try (ResultSet found = read.executeQuery()) {
                while (found.next()) {
                    Object[] row = new Object[what.names().size()];
                    for (int column = 0; column < row.length; column++) {
                        row[column] = found.getObject(column + 1);
                    }
                    rows.add(row);
                }
            }
        }
        return rows;
    }
}
