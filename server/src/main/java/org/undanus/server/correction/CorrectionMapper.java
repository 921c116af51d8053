package org.undanus.server.correction;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.core.judgement.Severity;
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
            Severity severity,
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
                    c.severity().orElse(null),
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
                    Optional.ofNullable(severity),
                    version);
        }
    }

    /** @param readings ids parted by spaces */
    record StepRow(
            String id, String correctionId, Step.Kind kind, String words, String readings, String byWhom, Instant at) {
        public StepRow {
            at = Moment.kept(at);
        }

        Step step() {
            return new Step(id, kind, words, readings.isEmpty() ? List.of() : List.of(readings.split(" ")), byWhom, at);
        }
    }

    record AttachmentRow(
            String id,
            String correctionId,
            String name,
            String mediaType,
            String sha256,
            int bytes,
            String addedBy,
            Instant addedAt) {
        public AttachmentRow {
            addedAt = Moment.kept(addedAt);
        }
    }

    /** As the journal keeps it: of the file its digest. */
    record AttachmentState(AttachmentRow attachment, String content) {}

    record Content(String name, String mediaType, byte[] content) {}

    String COLUMNS =
            "SELECT id, number, installation_id, requirement, component, what, finding, limits, words, due, state,"
                    + " raised_by, raised_at, severity, version FROM correction ";
    String STEP = "SELECT id, correction_id, kind, words, readings, by_whom, at FROM correction_step ";
    String ATTACHMENT =
            "SELECT id, correction_id, name, media_type, sha256, bytes, added_by, added_at FROM attachment ";

    @Select(COLUMNS + "ORDER BY raised_at, number")
    List<CorrectionRow> all();

    @Select(COLUMNS + "WHERE installation_id = #{id} ORDER BY number")
    List<CorrectionRow> ofInstallation(String id);

    @Select(COLUMNS + "WHERE id = #{id}")
    CorrectionRow find(String id);

    @Insert(
            "INSERT INTO correction (id, number, installation_id, requirement, component, what, finding, limits, words, due,"
                    + " state, raised_by, raised_at, severity, version) VALUES (#{id}, #{number}, #{installationId}, #{requirement},"
                    + " #{component}, #{what}, #{finding}, #{limits}, #{words}, #{due}, #{state}, #{raisedBy}, #{raisedAt},"
                    + " #{severity}, #{version})")
    void insert(CorrectionRow row);

    @Update("UPDATE correction SET words = #{words}, due = #{due}, state = #{state}, version = version + 1"
            + " WHERE id = #{id} AND version = #{version}")
    int update(CorrectionRow row);

    @Select(STEP + "ORDER BY sequence")
    List<StepRow> allSteps();

    @Select(STEP + "WHERE correction_id = #{correction} ORDER BY sequence")
    List<StepRow> steps(String correction);

    @Insert("INSERT INTO correction_step (id, correction_id, kind, words, readings, by_whom, at)"
            + " VALUES (#{id}, #{correctionId}, #{kind}, #{words}, #{readings}, #{byWhom}, #{at})")
    void insertStep(StepRow row);

    @Select(ATTACHMENT + "ORDER BY sequence")
    List<AttachmentRow> allAttachments();

    @Select(ATTACHMENT + "WHERE correction_id = #{correction} ORDER BY sequence")
    List<AttachmentRow> attachments(String correction);

    @Select(ATTACHMENT + "WHERE id = #{id}")
    AttachmentRow attachment(String id);

    @Select("SELECT name, media_type, content FROM attachment WHERE id = #{id}")
    Content content(String id);

    @Insert("INSERT INTO attachment (id, correction_id, name, media_type, sha256, bytes, added_by, added_at, content)"
            + " VALUES (#{row.id}, #{row.correctionId}, #{row.name}, #{row.mediaType}, #{row.sha256}, #{row.bytes},"
            + " #{row.addedBy}, #{row.addedAt}, #{content})")
    void insertAttachment(AttachmentRow row, byte[] content);
}
