package org.undanus.server.installation;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.core.evidence.Stage;

/** Reads the register from headers and stored standings alone. */
@Mapper
interface StandingMapper {

    record StandingRow(String installationId, String judgedOf, int pressing, String counts, int readings) {}

    /** @param judgedOf of what it would be judged now, without the library's part */
    record Outdated(String id, String judgedOf) {}

    record ListedRow(
            String id,
            String reference,
            String title,
            String building,
            String system,
            String crew,
            Stage stage,
            LocalDate visitedOn,
            Integer pressing,
            String counts,
            Integer readings) {}

    /** @param crew whose installations alone are looked through, null for all of them */
    record Filter(String crew, String words, String ofCrew, Integer pressing) {}

    /** All that a judgement of an installation rests on besides the libraries, in a few numbers. */
    String STATE = "i.version || '.'"
            + " || COALESCE((SELECT r.sequence FROM reading r WHERE r.installation_id = i.id"
            + " ORDER BY r.installation_id DESC, r.sequence DESC FETCH FIRST ROW ONLY), 0) || '.'"
            + " || (SELECT COUNT(*) FROM visit v WHERE v.installation_id = i.id) || '.'"
            + " || (SELECT COUNT(*) FROM site_plan p WHERE p.installation_id = i.id) || '.'"
            + " || (SELECT COUNT(*) || '-' || COUNT(CASE WHEN u.removed THEN 1 END) FROM subject u"
            + " WHERE u.installation_id = i.id)";

    String MATCHING = " <where>"
            + "<if test='f.crew != null'> AND i.crew = #{f.crew}</if>"
            + "<if test='f.ofCrew != null'> AND i.crew = #{f.ofCrew}</if>"
            + "<if test='f.pressing != null'> AND t.pressing = #{f.pressing}</if>"
            + "<if test='f.words != null'> AND LOWER(i.reference || ' ' || i.title || ' ' || s.name || ' ' || i.system)"
            + " LIKE #{f.words} ESCAPE '!'</if></where> ";

    String FROM =
            " FROM installation i JOIN site s ON s.id = i.site_id LEFT JOIN standing t ON t.installation_id = i.id";

    /** What the libraries hold; it changes with every sheet and instrument. */
    @Select("SELECT (SELECT COUNT(*) FROM data_sheet) || '.' || (SELECT COUNT(*) || '-' || COALESCE(SUM(version), 0)"
            + " FROM instrument)")
    String libraries();

    /** Those whose stored standing is not of what there is now. */
    @Select("SELECT i.id, " + STATE
            + " AS judged_of FROM installation i LEFT JOIN standing t ON t.installation_id = i.id"
            + " WHERE t.judged_of IS NULL OR t.judged_of <> " + STATE + " || #{rest} FETCH FIRST #{most} ROWS ONLY")
    List<Outdated> outdated(@Param("rest") String rest, @Param("most") int most);

    @Update("MERGE INTO standing (installation_id, judged_of, pressing, counts, readings) KEY (installation_id)"
            + " VALUES (#{installationId}, #{judgedOf}, #{pressing}, #{counts}, #{readings})")
    void store(StandingRow row);

    @Select(
            "<script>SELECT i.id, i.reference, i.title, s.name AS building, i.system, i.crew, v.stage, v.visited_on, t.pressing,"
                    + " t.counts, t.readings" + FROM + " JOIN visit v ON v.sequence = (SELECT w.sequence FROM visit w"
                    + " WHERE w.installation_id = i.id ORDER BY w.installation_id DESC, w.sequence DESC FETCH FIRST ROW ONLY)"
                    + MATCHING
                    + "ORDER BY ${order}, i.reference OFFSET #{from} ROWS FETCH NEXT #{most} ROWS ONLY</script>")
    List<ListedRow> page(
            @Param("f") Filter filter, @Param("order") String order, @Param("from") int from, @Param("most") int most);

    @Select("<script>SELECT COUNT(*)" + FROM + MATCHING + "</script>")
    int count(@Param("f") Filter filter);

    @Select("<script>SELECT DISTINCT i.crew FROM installation i"
            + "<if test='crew != null'> WHERE i.crew = #{crew}</if> ORDER BY i.crew</script>")
    List<String> crews(@Param("crew") String crew);
}
