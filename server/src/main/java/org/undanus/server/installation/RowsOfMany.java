package org.undanus.server.installation;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;
import org.undanus.server.installation.InstallationMapper.ComponentRow;
import org.undanus.server.installation.InstallationMapper.InstallationRow;
import org.undanus.server.installation.InstallationMapper.ReadingRow;
import org.undanus.server.installation.InstallationMapper.SiteRow;
import org.undanus.server.installation.InstallationMapper.SubjectRow;
import org.undanus.server.installation.InstallationMapper.VisitRow;
import org.undanus.server.store.RecordRow;

/** Rows of many installations at once. */
@Component
class RowsOfMany {
    private static final String OF = "WHERE installation_id BETWEEN ? AND ? ORDER BY installation_id, ";
    private static final String READING = InstallationMapper.OF_READING + ", sequence FROM reading WHERE ";
    private static final RecordRow<ComponentRow> COMPONENTS = new RecordRow<>(ComponentRow.class);
    private static final RecordRow<SubjectRow> SUBJECTS = new RecordRow<>(SubjectRow.class);
    private static final RecordRow<VisitRow> VISITS = new RecordRow<>(VisitRow.class);
    private static final RecordRow<ReadingRow> READINGS = new RecordRow<>(ReadingRow.class);

    /** A reading and where it stands among all there are. */
    private record Placed(long sequence, ReadingRow row) {}

    private final JdbcTemplate database;
    private final InstallationMapper mapper;

    RowsOfMany(JdbcTemplate database, InstallationMapper mapper) {
        this.database = database;
        this.mapper = mapper;
    }

    /** Sites are joined here: the database would go through all installations of a site for a few of them. */
    List<InstallationRow> installations(String from, String to) {
        Map<String, SiteRow> sites = new HashMap<>();
        mapper.sites().forEach(site -> sites.put(site.id(), site));
        return database.query(
                "SELECT id, reference, site_id, title, system, crew, replacement, rule_book, rule_book_version, version,"
                        + " elevation, owner, address FROM installation WHERE id BETWEEN ? AND ? ORDER BY id",
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
                            row.getString(12),
                            row.getString(13),
                            row.getBoolean(7),
                            row.getString(8),
                            row.getInt(9),
                            row.getInt(10));
                },
                from,
                to);
    }

    Map<String, List<ComponentRow>> components(String from, String to) {
        return by(
                ComponentRow::installationId,
                database.query(InstallationMapper.COMPONENT + OF + "place", COMPONENTS, from, to));
    }

    Map<String, List<SubjectRow>> subjects(String from, String to) {
        return by(
                SubjectRow::installationId,
                database.query(InstallationMapper.SUBJECT + OF + "place", SUBJECTS, from, to));
    }

    Map<String, List<VisitRow>> visits(String from, String to) {
        return by(
                VisitRow::installationId, database.query(InstallationMapper.VISIT + OF + "sequence", VISITS, from, to));
    }

    /** All readings, in the order they were added. */
    Map<String, List<ReadingRow>> readings(String from, String to) {
        return by(
                ReadingRow::installationId,
                database.query(InstallationMapper.READING + OF + "sequence", READINGS, from, to));
    }

    /** Those of some points, each found together by an index. */
    Map<String, List<ReadingRow>> readings(String from, String to, Collection<String> points) {
        List<Placed> all = new ArrayList<>();
        RowMapper<Placed> reading =
                (row, number) -> new Placed(row.getLong(READINGS.width() + 1), READINGS.mapRow(row, number));
        for (String point : points) {
            all.addAll(database.query(
                    READING + "point = ? AND installation_id BETWEEN ? AND ?", reading, point, from, to));
        }
        all.sort(Comparator.comparingLong(Placed::sequence));
        return by(ReadingRow::installationId, all.stream().map(Placed::row).toList());
    }

    private static <T> Map<String, List<T>> by(Function<T, String> installation, List<T> rows) {
        return rows.stream().collect(Collectors.groupingBy(installation));
    }
}
