package org.undanus.server.installation;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Stage;
import org.undanus.server.installation.InstallationMapper.ComponentRow;
import org.undanus.server.installation.InstallationMapper.InstallationRow;
import org.undanus.server.installation.InstallationMapper.ReadingRow;
import org.undanus.server.installation.InstallationMapper.SiteRow;
import org.undanus.server.installation.InstallationMapper.SubjectRow;
import org.undanus.server.installation.InstallationMapper.VisitRow;

/**
 * Rows of many installations at once, column by column by its number: of a hundred thousand installations the mapper's finding of
 * fields by name would take longer than reading and judging together.
 */
@Component
class Stretch {
    private static final String OF = " WHERE installation_id BETWEEN ? AND ? ORDER BY installation_id, ";
    private static final String READING =
            "SELECT sequence, id, installation_id, visit_id, point, component, typed, si, standard_uncertainty, resolution, unit,"
                    + " instrument, grade, entered_by, entered_at, by_crew FROM reading WHERE ";

    /** A reading and where it stands among all there are. */
    private record Placed(long sequence, ReadingRow row) {}

    private final JdbcTemplate database;
    private final InstallationMapper mapper;

    Stretch(JdbcTemplate database, InstallationMapper mapper) {
        this.database = database;
        this.mapper = mapper;
    }

    /** Sites are joined here: the database would go through all installations of a site for a few of them. */
    List<InstallationRow> installations(String from, String to) {
        Map<String, SiteRow> sites = new HashMap<>();
        mapper.sites().forEach(site -> sites.put(site.id(), site));
        return database.query(
                "SELECT id, reference, site_id, title, system, crew, replacement, rule_book, rule_book_version, version,"
                        + " elevation FROM installation WHERE id BETWEEN ? AND ? ORDER BY id",
                (row, number) -> {
                    SiteRow site = sites.get(row.getString(3));
                    return new InstallationRow(
                            row.getString(1),
                            row.getString(2),
                            site.id(),
                            site.name(),
                            Optional.ofNullable(row.getObject(11, Double.class)).orElse(site.elevation()),
                            site.zone(),
                            row.getString(4),
                            row.getString(5),
                            row.getString(6),
                            row.getBoolean(7),
                            row.getString(8),
                            row.getInt(9),
                            row.getInt(10));
                },
                from,
                to);
    }

    Map<String, List<ComponentRow>> components(String from, String to) {
        return grouped(
                "SELECT installation_id, id, kind, title, own_supply, place FROM component" + OF + "place",
                row -> new ComponentRow(
                        row.getString(1),
                        row.getString(2),
                        org.undanus.core.installation.Component.Kind.valueOf(row.getString(3)),
                        row.getString(4),
                        row.getBoolean(5),
                        row.getInt(6)),
                from,
                to);
    }

    Map<String, List<SubjectRow>> subjects(String from, String to) {
        return grouped(
                InstallationMapper.SUBJECT + OF + "place",
                row -> new SubjectRow(
                        row.getString(1),
                        row.getString(2),
                        org.undanus.core.installation.Subject.Kind.valueOf(row.getString(3)),
                        row.getString(4),
                        row.getString(5),
                        row.getInt(6),
                        row.getBoolean(7)),
                from,
                to);
    }

    Map<String, List<VisitRow>> visits(String from, String to) {
        return grouped(
                "SELECT installation_id, id, stage, visited_on, unannounced, sealed_as, scopes FROM visit" + OF
                        + "sequence",
                row -> new VisitRow(
                        row.getString(2),
                        row.getString(1),
                        Stage.valueOf(row.getString(3)),
                        row.getObject(4, LocalDate.class),
                        (Boolean) row.getObject(5),
                        row.getString(6),
                        row.getString(7)),
                from,
                to);
    }

    /** All readings, in the order they were added. */
    Map<String, List<ReadingRow>> readings(String from, String to) {
        return byInstallation(database.query(
                READING + "installation_id BETWEEN ? AND ? ORDER BY installation_id, sequence",
                Stretch::reading,
                from,
                to));
    }

    /** Those of some points, each found together by an index. */
    Map<String, List<ReadingRow>> readings(String from, String to, Collection<String> points) {
        List<Placed> all = new ArrayList<>();
        RowMapper<Placed> reading = Stretch::reading;
        for (String point : points) {
            all.addAll(database.query(
                    READING + "point = ? AND installation_id BETWEEN ? AND ?", reading, point, from, to));
        }
        all.sort(Comparator.comparingLong(Placed::sequence));
        return byInstallation(all);
    }

    private static Map<String, List<ReadingRow>> byInstallation(List<Placed> readings) {
        Map<String, List<ReadingRow>> by = new HashMap<>();
        readings.forEach(each -> by.computeIfAbsent(each.row().installationId(), any -> new ArrayList<>())
                .add(each.row()));
        return by;
    }

    private static Placed reading(ResultSet row, int number) throws SQLException {
        return new Placed(
                row.getLong(1),
                new ReadingRow(
                        row.getString(2),
                        row.getString(3),
                        row.getString(4),
                        row.getString(5),
                        row.getString(6),
                        row.getString(7),
                        (Double) row.getObject(8),
                        (Double) row.getObject(9),
                        (Double) row.getObject(10),
                        row.getString(11),
                        row.getString(12),
                        Grade.valueOf(row.getString(13)),
                        row.getString(14),
                        row.getObject(15, Instant.class),
                        (Boolean) row.getObject(16)));
    }

    /** One row of something that an installation has several of. */
    @FunctionalInterface
    private interface Row<T> {
        T of(ResultSet row) throws SQLException;
    }

    /** The installation's id is the first column. */
    private <T> Map<String, List<T>> grouped(String sql, Row<T> made, String from, String to) {
        Map<String, List<T>> by = new HashMap<>();
        database.query(
                sql,
                row -> {
                    by.computeIfAbsent(row.getString(1), any -> new ArrayList<>())
                            .add(made.of(row));
                },
                from,
                to);
        return by;
    }
}
