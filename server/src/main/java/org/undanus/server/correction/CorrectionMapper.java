package org.undanus.server.correction;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.server.store.Moment;

@Mapper
interface CorrectionMapper {

    record CorrectionRow(
            String id,
            int number,
            String installationId,
            String requirement,
            String component,
            String what,
            String finding,
            String limits,
            String words,
            LocalDate due,
            Correction.State state,
            String raisedBy,
            Instant raisedAt,
            int version) {
        public CorrectionRow {
            raisedAt = Moment.kept(raisedAt);
        }

        static CorrectionRow of(Correction c) {
            return new CorrectionRow(
                    c.id(),
                    c.number(),
                    c.installationId(),
                    c.requirement(),
                    c.component(),
                    c.what(),
                    c.finding(),
                    c.limits(),
                    c.words(),
                    c.due().orElse(null),
                    c.state(),
                    c.raisedBy(),
                    c.raisedAt(),
                    c.version());
        }

        Correction correction() {
            return new Correction(
                    id,
                    number,
                    installationId,
                    requirement,
                    component,
                    what,
                    finding,
                    limits,
                    words,
                    Optional.ofNullable(due),
                    state,
                    raisedBy,
                    raisedAt,
                    version);
        }
    }

    String COLUMNS =
            "SELECT id, number, installation_id, requirement, component, what, finding, limits, words, due, state,"
                    + " raised_by, raised_at, version FROM correction ";

    @Select(COLUMNS + "ORDER BY raised_at, number")
    List<CorrectionRow> all();

    @Select(COLUMNS + "WHERE installation_id = #{id} ORDER BY number")
    List<CorrectionRow> ofInstallation(String id);

    @Select(COLUMNS + "WHERE id = #{id}")
    CorrectionRow find(String id);

    @Insert(
            "INSERT INTO correction (id, number, installation_id, requirement, component, what, finding, limits, words, due,"
                    + " state, raised_by, raised_at, version) VALUES (#{id}, #{number}, #{installationId}, #{requirement},"
                    + " #{component}, #{what}, #{finding}, #{limits}, #{words}, #{due}, #{state}, #{raisedBy}, #{raisedAt},"
                    + " #{version})")
    void insert(CorrectionRow row);

    @Update("UPDATE correction SET words = #{words}, due = #{due}, state = #{state}, version = version + 1"
            + " WHERE id = #{id} AND version = #{version}")
    int update(CorrectionRow row);
}
