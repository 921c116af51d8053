package org.undanus.server.installation;

import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Subject;
import org.undanus.server.store.Moment;
import org.undanus.view.CaseFile;

@Mapper
interface InstallationMapper {

    /**
     * @param zone of its site, which has it journalled; null where it is the application's
     * @param owner null where it is not known, as in rows of before
     * @param address null where it is not known, as in rows of before
     */
    record InstallationRow(
            String id,
            String reference,
            String siteId,
            String siteName,
            double elevation,
            @JsonIgnore String zone,
            String title,
            String system,
            String crew,
            @JsonInclude(JsonInclude.Include.NON_NULL) String owner,
            @JsonInclude(JsonInclude.Include.NON_NULL) String address,
            boolean replacement,
            String ruleBook,
            int ruleBookVersion,
            int version) {

        static String kept(String known) {
            return known.isEmpty() ? null : known;
        }

        CaseFile.Owner ownership() {
            return new CaseFile.Owner(owner == null ? "" : owner, address == null ? "" : address);
        }
    }

    record ComponentRow(
            String installationId, String id, Component.Kind kind, String title, boolean ownSupply, int place) {}

    /** @param joins ids of units, parted by spaces */
    record SubjectRow(
            String installationId,
            String id,
            Subject.Kind kind,
            String title,
            String joins,
            int place,
            boolean removed) {
        Subject subject() {
            return new Subject(id, kind, title, joins.isEmpty() ? List.of() : List.of(joins.split(" ")));
        }

        /** What the journal knows it by. */
        String key() {
            return installationId + "/" + id;
        }
    }

    /** As the journal keeps it. */
    record InstallationState(InstallationRow installation, List<ComponentRow> components) {
        static InstallationState of(InstallationMapper mapper, String id) {
            return new InstallationState(mapper.find(id), mapper.components(id));
        }
    }

    /**
     * @param unannounced null where it was agreed
     * @param sealedAs the number it was sealed under, null before
     * @param scopes ids parted by spaces; null where it looks at the whole
     */
    record VisitRow(
            String id,
            String installationId,
            Stage stage,
            LocalDate visitedOn,
            Boolean unannounced,
            String sealedAs,
            @JsonInclude(JsonInclude.Include.NON_NULL) String scopes) {}

    record ReadingRow(
            String id,
            String installationId,
            String visitId,
            String point,
            String component,
            String typed,
            Double si,
            Double standardUncertainty,
            Double resolution,
            String unit,
            String instrument,
            Grade grade,
            String enteredBy,
            Instant enteredAt,
            Boolean byCrew) {
        public ReadingRow {
            enteredAt = Moment.kept(enteredAt);
        }
    }

    /** @param zone in which its wall clocks are read; null at those from before, where it is the application's */
    record SiteRow(String id, String name, double elevation, @JsonInclude(JsonInclude.Include.NON_NULL) String zone) {}

    String INSTALLATION =
            "SELECT i.id, i.reference, i.site_id, s.name AS site_name, COALESCE(i.elevation, s.elevation) AS elevation, s.zone, i.title, i.system, i.crew,"
                    + " i.owner, i.address, i.replacement, i.rule_book, i.rule_book_version, i.version"
                    + " FROM installation i JOIN site s ON s.id = i.site_id ";
    /** Columns stand in the order of their record's components: many rows are read by number. */
    String OF_READING =
            "SELECT id, installation_id, visit_id, point, component, typed, si, standard_uncertainty, resolution,"
                    + " unit, instrument, grade, entered_by, entered_at, by_crew";

    String COMPONENT = "SELECT installation_id, id, kind, title, own_supply, place FROM component ";
    String SUBJECT = "SELECT installation_id, id, kind, title, joins, place, removed FROM subject ";
    String VISIT = "SELECT id, installation_id, stage, visited_on, unannounced, sealed_as, scopes FROM visit ";
    String READING = OF_READING + " FROM reading ";

    @Select(INSTALLATION + "ORDER BY i.reference")
    List<InstallationRow> all();

    @Select(INSTALLATION + "WHERE i.id = #{id}")
    InstallationRow find(String id);

    @Select("SELECT COUNT(*) FROM installation WHERE reference = #{reference}")
    int countReference(String reference);

    /** Lets one writer at a time at an installation. */
    @Select("SELECT id FROM installation WHERE id = #{id} FOR UPDATE")
    String lock(String id);

    @Select(COMPONENT + "WHERE installation_id = #{id} ORDER BY place")
    List<ComponentRow> components(String id);

    @Select(COMPONENT + "ORDER BY installation_id, place")
    List<ComponentRow> allComponents();

    /** How it stood is not how it will. */
    @Delete("DELETE FROM standing WHERE installation_id = #{id}")
    void forgetStanding(String id);

    @Select(SUBJECT + "WHERE installation_id = #{id} ORDER BY place")
    List<SubjectRow> subjects(String id);

    @Select(SUBJECT + "ORDER BY installation_id, place")
    List<SubjectRow> allSubjects();

    @Insert("INSERT INTO subject (installation_id, id, kind, title, joins, place, removed)"
            + " VALUES (#{installationId}, #{id}, #{kind}, #{title}, #{joins}, #{place}, #{removed})")
    void insertSubject(SubjectRow row);

    @Update("UPDATE subject SET removed = #{removed} WHERE installation_id = #{installationId} AND id = #{id}")
    void updateSubject(SubjectRow row);

    @Select(VISIT + "WHERE installation_id = #{id} ORDER BY sequence")
    List<VisitRow> visits(String id);

    @Select(VISIT + "ORDER BY installation_id, sequence")
    List<VisitRow> allVisits();

    @Select(VISIT + "WHERE id = #{id}")
    VisitRow visit(String id);

    @Select(READING + "WHERE installation_id = #{id} ORDER BY sequence")
    List<ReadingRow> readings(String id);

    /** Those after the first so many: none is ever taken away, nor put between others. */
    @Select(READING + "WHERE installation_id = #{id} ORDER BY sequence OFFSET #{known} ROWS")
    List<ReadingRow> readingsAfter(String id, int known);

    @Select(READING + "ORDER BY installation_id, sequence")
    List<ReadingRow> allReadings();

    @Select({
        "<script>SELECT id FROM reading WHERE id IN",
        "<foreach collection='ids' item='id' open='(' separator=',' close=')'>#{id}</foreach></script>"
    })
    List<String> readingsAmong(@Param("ids") List<String> ids);

    @Select(READING + "WHERE id = #{id}")
    ReadingRow reading(String id);

    @Select("SELECT id, name, elevation, zone FROM site ORDER BY id")
    List<SiteRow> sites();

    @Select("SELECT id, name, elevation, zone FROM site WHERE name = #{name}")
    SiteRow site(String name);

    @Insert("INSERT INTO site (id, name, elevation, zone) VALUES (#{id}, #{name}, #{elevation}, #{zone})")
    void insertSite(SiteRow row);

    @Insert(
            "INSERT INTO installation (id, reference, site_id, elevation, title, system, crew, owner, address, replacement,"
                    + " rule_book, rule_book_version, version) VALUES (#{id}, #{reference}, #{siteId}, #{elevation}, #{title}, #{system},"
                    + " #{crew}, #{owner}, #{address}, #{replacement}, #{ruleBook}, #{ruleBookVersion}, #{version})")
    void insert(InstallationRow row);

    @Update("UPDATE installation SET title = #{title}, system = #{system}, crew = #{crew}, owner = #{owner},"
            + " address = #{address}, replacement = #{replacement}, rule_book = #{ruleBook}, rule_book_version = #{ruleBookVersion}, version = version + 1"
            + " WHERE id = #{id} AND version = #{version}")
    int update(InstallationRow row);

    @Update("UPDATE component SET kind = #{kind}, title = #{title}, own_supply = #{ownSupply}, place = #{place}"
            + " WHERE installation_id = #{installationId} AND id = #{id}")
    int updateComponent(ComponentRow row);

    @Delete("DELETE FROM component WHERE installation_id = #{installation} AND id = #{id}")
    void deleteComponent(@Param("installation") String installation, @Param("id") String id);

    @Insert("INSERT INTO component (installation_id, id, kind, title, own_supply, place)"
            + " VALUES (#{installationId}, #{id}, #{kind}, #{title}, #{ownSupply}, #{place})")
    void insertComponent(ComponentRow row);

    @Insert("INSERT INTO visit (id, installation_id, stage, visited_on, unannounced, sealed_as, scopes)"
            + " VALUES (#{id}, #{installationId}, #{stage}, #{visitedOn}, #{unannounced}, #{sealedAs}, #{scopes})")
    void insertVisit(VisitRow row);

    @Update("UPDATE visit SET sealed_as = #{number} WHERE id = #{id} AND sealed_as IS NULL")
    int sealVisit(String id, String number);

    @Update("UPDATE visit SET scopes = #{scopes} WHERE id = #{id}")
    void confineVisit(String id, String scopes);

    @Insert("INSERT INTO reading (id, installation_id, visit_id, point, component, typed, si, standard_uncertainty,"
            + " resolution, unit, instrument, grade, entered_by, entered_at, by_crew) VALUES (#{id}, #{installationId}, #{visitId},"
            + " #{point}, #{component}, #{typed}, #{si}, #{standardUncertainty}, #{resolution}, #{unit}, #{instrument},"
            + " #{grade}, #{enteredBy}, #{enteredAt}, #{byCrew})")
    void insertReading(ReadingRow row);

    /** When a line was read, by whom on which visit: what the office read last. */
    record ReadAt(String visitId, String enteredBy, String point, Instant enteredAt) {}

    @Select(
            "SELECT * FROM (SELECT visit_id, entered_by, point, entered_at FROM reading WHERE by_crew IS NULL AND grade = 'WITNESSED'"
                    + " ORDER BY sequence DESC LIMIT #{most}) ORDER BY visit_id, entered_by, entered_at")
    List<ReadAt> readLast(int most);

    @Select("SELECT id FROM installation ORDER BY id")
    List<String> ids();

    /** Those judged by any version of a book, in the order of their ids. */
    @Select("SELECT id FROM installation WHERE rule_book = #{book} ORDER BY id")
    List<String> judgedBy(String book);
}
