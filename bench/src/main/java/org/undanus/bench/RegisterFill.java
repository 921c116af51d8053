package org.undanus.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/**
 * Makes a large register of a small one: every installation of a stopped server's database is copied so many times, with visits,
 * units, plans and readings. What the journal says of it no longer holds. Arguments: database address, copies.
 */
public final class RegisterFill {
    private static final String ONES = " FROM %s, SYSTEM_RANGE(1, %d) WHERE %s";
    private static final String COPY = " || LPAD(x, 8, '0')";
    private static final String ID = "SUBSTRING(id, 1, 28)" + COPY;
    private static final String INSTALLATION = "SUBSTRING(installation_id, 1, 28)" + COPY;
    /** Those of the demo itself have one dash in their reference. */
    private static final String ORIGINAL =
            "installation_id IN (SELECT id FROM installation WHERE reference NOT LIKE '%-%-%')";

    /** Table, columns and what they are copied as. */
    private record Copied(String table, String columns, String as, String which) {
        private String sql(int copies) {
            return "INSERT INTO " + table + " (" + columns + ") SELECT " + as
                    + String.format(ONES, table, copies, which);
        }
    }

    private static final List<Copied> TABLES = List.of(
            new Copied(
                    "installation",
                    "id, reference, site_id, title, system, crew, replacement, rule_book, rule_book_version, version",
                    ID
                            + ", reference || '-' || x, site_id, title, system, crew, replacement, rule_book, rule_book_version,"
                            + " version",
                    "reference NOT LIKE '%-%-%'"),
            new Copied(
                    "component",
                    "installation_id, id, kind, title, own_supply, place",
                    INSTALLATION + ", id, kind, title, own_supply, place",
                    ORIGINAL),
            new Copied(
                    "visit",
                    "id, installation_id, stage, visited_on",
                    ID + ", " + INSTALLATION + ", stage, visited_on",
                    ORIGINAL + " ORDER BY sequence"),
            new Copied(
                    "reading",
                    "id, installation_id, visit_id, point, component, typed, si, standard_uncertainty, resolution, unit, instrument,"
                            + " grade, entered_by, entered_at, by_crew",
                    ID + ", " + INSTALLATION + ", SUBSTRING(visit_id, 1, 28)" + COPY
                            + ", point, component, typed, si, standard_uncertainty, resolution, unit, instrument, grade, entered_by,"
                            + " entered_at, by_crew",
                    ORIGINAL + " ORDER BY x, sequence"));

    private RegisterFill() {}

    public static void main(String[] arguments) throws SQLException {
        int copies = Integer.parseInt(arguments[1]);
        try (Connection connection = DriverManager.getConnection(arguments[0], "sa", "");
                Statement statement = connection.createStatement()) {
            for (Copied each : TABLES) {
                statement.executeUpdate(each.sql(copies - 1));
            }
        }
    }
}
