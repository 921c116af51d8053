package org.undanus.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/**
 * Makes a large register of a small one: every installation of a stopped server's database is copied so many times, with visits,
 * units, plans and readings. What the journal says of it no longer holds. Arguments: database address, copies.
 */
public final class RegisterFill {
    private static final String ONES = " FROM %s, SYSTEM_RANGE(1, %d) WHERE %s = ? ORDER BY %s";
    private static final String COPY = " || LPAD(x, 8, '0')";
    private static final String ID = "SUBSTRING(id, 1, 28)" + COPY;
    private static final String INSTALLATION = "SUBSTRING(installation_id, 1, 28)" + COPY;

    /**
     * Table, columns and what they are copied as.
     *
     * @param of the column that names the installation
     * @param order in which its rows were added
     */
    private record Copied(String table, String columns, String as, String of, String order) {
        private String sql(int copies) {
            return "INSERT INTO " + table + " (" + columns + ") SELECT " + as
                    + String.format(ONES, table, copies, of, order);
        }
    }

    private static final String OF = "installation_id";

    private static final List<Copied> TABLES = List.of(
            new Copied(
                    "installation",
                    "id, reference, site_id, title, system, crew, replacement, rule_book, rule_book_version, version",
                    ID
                            + ", reference || '-' || x, site_id, title, system, crew, replacement, rule_book, rule_book_version,"
                            + " version",
                    "id",
                    "x"),
            new Copied(
                    "component",
                    "installation_id, id, kind, title, own_supply, place",
                    INSTALLATION + ", id, kind, title, own_supply, place",
                    OF,
                    "x, place"),
            new Copied(
                    "visit",
                    "id, installation_id, stage, visited_on",
                    ID + ", " + INSTALLATION + ", stage, visited_on",
                    OF,
                    "x, sequence"),
            new Copied(
                    "reading",
                    "id, installation_id, visit_id, point, component, typed, si, standard_uncertainty, resolution, unit, instrument,"
                            + " grade, entered_by, entered_at, by_crew",
                    ID + ", " + INSTALLATION + ", SUBSTRING(visit_id, 1, 28)" + COPY
                            + ", point, component, typed, si, standard_uncertainty, resolution, unit, instrument, grade, entered_by,"
                            + " entered_at, by_crew",
                    OF,
                    "x, sequence"));

    private RegisterFill() {}

    public static void main(String[] arguments) throws SQLException {
        int copies = Integer.parseInt(arguments[1]);
        try (Connection connection = DriverManager.getConnection(arguments[0], "sa", "")) {
            List<String> originals = originals(connection);
            for (Copied each : TABLES) {
                try (PreparedStatement copy = connection.prepareStatement(each.sql(copies - 1))) {
                    for (String original : originals) {
                        copy.setString(1, original);
                        copy.executeUpdate();
                    }
                }
            }
            try (Statement statement = connection.createStatement()) {
                statement.execute("SHUTDOWN COMPACT");
            }
        }
    }

    private static List<String> originals(Connection connection) throws SQLException {
        List<String> ids = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("SELECT id FROM installation ORDER BY id")) {
            while (rows.next()) {
                ids.add(rows.getString(1));
            }
        }
        return ids;
    }
}
