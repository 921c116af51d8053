package org.undanus.server.commissioning;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.server.store.Moment;
import org.undanus.server.upload.KeptFile;

@Mapper
interface RecordMapper {

    /** @param coldest of the day, K; null where nobody entered it, as {@code warmest} */
    record RecordRow(
            String id,
            String installationId,
            String signedBy,
            LocalDate recordedOn,
            Double coldest,
            Double warmest,
            String broughtBy,
            Instant broughtAt,
            boolean released,
            int version) {
        public RecordRow {
            broughtAt = Moment.kept(broughtAt);
        }
    }

    /** @param claimedAt as ISO writes it to the minute; null where the record has no time */
    record ClaimRow(
            String id,
            String recordId,
            String point,
            String component,
            String typed,
            String claimedAt,
            String instrument,
            String documentId,
            Integer page,
            Double boxLeft,
            Double boxTop,
            Double boxWidth,
            Double boxHeight) {

        static ClaimRow unboxed(
                String id,
                String recordId,
                String point,
                String component,
                String typed,
                String claimedAt,
                String instrument) {
            return new ClaimRow(
                    id, recordId, point, component, typed, claimedAt, instrument, null, null, null, null, null, null);
        }

        ClaimRow as(String other) {
            return unboxed(other, recordId, point, component, typed, claimedAt, instrument);
        }
    }

    /** @param pages of a PDF; null where it is a picture */
    record DocumentRow(
            String id,
            String recordId,
            String name,
            String mediaType,
            String sha256,
            int bytes,
            Integer pages,
            String addedBy,
            Instant addedAt) {
        public DocumentRow {
            addedAt = Moment.kept(addedAt);
        }

        KeptFile kept() {
            return new KeptFile(id, name, mediaType, sha256, bytes, addedBy, addedAt);
        }
    }

    /** As the journal keeps it. */
    record DocumentState(DocumentRow document, String contentSha256) {}

    record DocumentContent(byte[] content) {}

    /** @param readings ids of those that came with the answer, parted by spaces */
    record QuestionRow(
            String id,
            String recordId,
            String checkId,
            String subject,
            String question,
            String askedBy,
            Instant askedAt,
            String answer,
            String answeredBy,
            Instant answeredAt,
            String readings) {
        public QuestionRow {
            askedAt = Moment.kept(askedAt);
            answeredAt = Moment.kept(answeredAt);
        }

        List<String> readingIds() {
            return readings.isEmpty() ? List.of() : List.of(readings.split(" "));
        }
    }

    /** A question that waits for its answer, with what it is about. */
    record OpenQuestion(
            String id,
            String recordId,
            String installationId,
            String reference,
            String title,
            String crew,
            LocalDate recordedOn,
            String question,
            String askedBy,
            Instant askedAt) {
        public OpenQuestion {
            askedAt = Moment.kept(askedAt);
        }
    }

    String RECORD =
            "SELECT id, installation_id, signed_by, recorded_on, coldest, warmest, brought_by, brought_at, released, version"
                    + " FROM commissioning_record ";
    String CLAIM =
            "SELECT id, record_id, point, component, typed, claimed_at, instrument, document_id, page, box_left, box_top,"
                    + " box_width, box_height FROM record_claim ";
    String DOCUMENT =
            "SELECT id, record_id, name, media_type, sha256, bytes, pages, added_by, added_at FROM record_document ";
    String QUESTION =
            "SELECT id, record_id, check_id, subject, question, asked_by, asked_at, answer, answered_by, answered_at, readings"
                    + " FROM record_question ";

    @Select(RECORD + "ORDER BY id")
    List<RecordRow> all();

    @Select(RECORD + "WHERE installation_id = #{installation} ORDER BY brought_at, id")
    List<RecordRow> ofInstallation(String installation);

    @Select(RECORD + "WHERE id = #{id}")
    RecordRow find(String id);

    @Insert(
            "INSERT INTO commissioning_record (id, installation_id, signed_by, recorded_on, coldest, warmest, brought_by,"
                    + " brought_at, released, version) VALUES (#{id}, #{installationId}, #{signedBy}, #{recordedOn}, #{coldest},"
                    + " #{warmest}, #{broughtBy}, #{broughtAt}, #{released}, #{version})")
    void insert(RecordRow row);

    @Update("UPDATE commissioning_record SET coldest = #{coldest}, warmest = #{warmest}, released = #{released},"
            + " version = version + 1 WHERE id = #{id} AND version = #{version}")
    int update(RecordRow row);

    @Select(CLAIM + "WHERE record_id = #{record} ORDER BY sequence")
    List<ClaimRow> claims(String record);

    @Select(CLAIM + "ORDER BY sequence")
    List<ClaimRow> allClaims();

    @Select(CLAIM + "WHERE id = #{id}")
    ClaimRow claim(String id);

    @Insert("INSERT INTO record_claim (id, record_id, point, component, typed, claimed_at, instrument)"
            + " VALUES (#{id}, #{recordId}, #{point}, #{component}, #{typed}, #{claimedAt}, #{instrument})")
    void insertClaim(ClaimRow row);

    @Update(
            "UPDATE record_claim SET document_id = #{documentId}, page = #{page}, box_left = #{boxLeft}, box_top = #{boxTop},"
                    + " box_width = #{boxWidth}, box_height = #{boxHeight} WHERE id = #{id}")
    void box(ClaimRow row);

    @Select(DOCUMENT + "WHERE record_id = #{record} ORDER BY added_at, id")
    List<DocumentRow> documents(String record);

    @Select(DOCUMENT + "ORDER BY id")
    List<DocumentRow> allDocuments();

    @Select(DOCUMENT + "WHERE id = #{id}")
    DocumentRow document(String id);

    @Select("SELECT content FROM record_document WHERE id = #{id}")
    DocumentContent content(String id);

    @Insert(
            "INSERT INTO record_document (id, record_id, name, media_type, sha256, bytes, pages, added_by, added_at, content)"
                    + " VALUES (#{row.id}, #{row.recordId}, #{row.name}, #{row.mediaType}, #{row.sha256}, #{row.bytes}, #{row.pages}, #{row.addedBy},"
                    + " #{row.addedAt}, #{content})")
    void insertDocument(@Param("row") DocumentRow row, @Param("content") byte[] content);

    @Select(QUESTION + "WHERE record_id = #{record} ORDER BY sequence")
    List<QuestionRow> questions(String record);

    /** @param crew whose; of all where it is null */
    @Select(
            "SELECT q.id, q.record_id, r.installation_id, i.reference, i.title, i.crew, r.recorded_on, q.question, q.asked_by,"
                    + " q.asked_at FROM record_question q JOIN commissioning_record r ON r.id = q.record_id"
                    + " JOIN installation i ON i.id = r.installation_id"
                    + " WHERE q.answer IS NULL AND (CAST(#{crew} AS VARCHAR) IS NULL OR i.crew = #{crew}) ORDER BY q.sequence")
    List<OpenQuestion> openQuestions(String crew);

    @Select(QUESTION + "ORDER BY sequence")
    List<QuestionRow> allQuestions();

    @Select(QUESTION + "WHERE id = #{id}")
    QuestionRow question(String id);

    @Insert(
            "INSERT INTO record_question (id, record_id, check_id, subject, question, asked_by, asked_at, answer, answered_by,"
                    + " answered_at, readings) VALUES (#{id}, #{recordId}, #{checkId}, #{subject}, #{question}, #{askedBy}, #{askedAt},"
                    + " #{answer}, #{answeredBy}, #{answeredAt}, #{readings})")
    void ask(QuestionRow row);

    @Update("UPDATE record_question SET answer = #{answer}, answered_by = #{answeredBy}, answered_at = #{answeredAt},"
            + " readings = #{readings}"
            + " WHERE id = #{id} AND answer IS NULL")
    int answer(QuestionRow row);
}
