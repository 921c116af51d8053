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
    private static final List<String> COPIES = List.of(
            "INSERT INTO installation SELECT SUBSTRING(id, 1, 28) || '%1$08d', reference || '-%1$d', site_id, title, system, crew,"
                    + " replacement, rule_book, rule_book_version, version FROM installation WHERE reference NOT LIKE '%%-%%-%%'",
            "INSERT INTO component SELECT SUBSTRING(installation_id, 1, 28) || '%1$08d', id, kind, title, own_supply, place"
                    + " FROM component WHERE installation_id IN (SELECT id FROM installation WHERE reference NOT LIKE '%%-%%-%%')",
            "INSERT INTO visit (id, installation_id, stage, visited_on) SELECT SUBSTRING(id, 1, 28) || '%1$08d',"
                    + " SUBSTRING(installation_id, 1, 28) || '%1$08d', stage, visited_on FROM visit"
                    + " WHERE installation_id IN (SELECT id FROM installation WHERE reference NOT LIKE '%%-%%-%%') ORDER BY sequence",
            "INSERT INTO reading (id, installation_id, visit_id, point, component, typed, si, standard_uncertainty, resolution,"
                    + " unit, instrument, grade, entered_by, entered_at, by_crew) SELECT SUBSTRING(id, 1, 28) || '%1$08d',"
                    + " SUBSTRING(installation_id, 1, 28) || '%1$08d', SUBSTRING(visit_id, 1, 28) || '%1$08d', point, component,"
                    + " typed, si, standard_uncertainty, resolution, unit, instrument, grade, entered_by, entered_at, by_crew"
                    + " FROM reading WHERE installation_id IN (SELECT id FROM installation WHERE reference NOT LIKE '%%-%%-%%')"
                    + " ORDER BY sequence");

    private RegisterFill() {}

    public static void main(String[] arguments) throws SQLException {
        int copies = Integer.parseInt(arguments[1]);
        try (Connection connection = DriverManager.getConnection(arguments[0], "sa", "");
                Statement statement = connection.createStatement()) {
            for (int copy = 1; copy < copies; copy++) {
                for (String pattern : COPIES) {
                    statement.executeUpdate(String.format(pattern, copy));
                }
            }
        }
    }
}
