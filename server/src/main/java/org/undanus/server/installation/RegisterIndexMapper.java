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
interface RegisterIndexMapper {

    /** @param restsOn the libraries and the application it was judged by */
    record IndexRow(
            String installationId,
            String restsOn,
            Stage stage,
            LocalDate visitedOn,
            int pressing,
            String counts,
            int readings,
            long stake,
            String saidUs,
            String saidSi,
            String failing,
            String sought) {}

    /** What was judged is null where it is to be judged again first. */
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
            Integer readings,
            String saidUs,
            String saidSi) {}

    /** How many installations stand alike. */
    record AlikeRow(String crew, int pressing, String failing, int count) {}

    /**
     * @param crew whose installations alone are looked through, null for all of them
     * @param words patterns that must all be found
     * @param failing the key of a station, between commas
     * @param due the last day on which an open correction is due
     */
    record Filter(String crew, List<String> words, String ofCrew, Integer pressing, String failing, LocalDate due) {}

    String MATCHING = " <where>"
            + "<if test='f.crew != null'> AND i.crew = #{f.crew}</if>"
            + "<if test='f.ofCrew != null'> AND i.crew = #{f.ofCrew}</if>"
            + "<if test='f.pressing != null'> AND t.pressing = #{f.pressing}</if>"
            + "<if test='f.failing != null'> AND t.failing LIKE '%' || #{f.failing} || '%'</if>"
            + "<if test='f.due != null'> AND EXISTS (SELECT 1 FROM correction c WHERE c.installation_id = i.id"
            + " AND c.state NOT IN ('ACCEPTED', 'CLOSED', 'WITHDRAWN') AND c.due &lt;= #{f.due})</if>"
            + "<foreach collection='f.words' item='word'>"
            + " AND LOWER(i.reference || ' ' || i.title || ' ' || s.name || ' ' || i.system || ' ' || i.crew || ' '"
            + " || COALESCE(i.owner, '') || ' ' || COALESCE(i.address, '') || ' ' || COALESCE(t.sought, ''))"
            + " LIKE #{word} ESCAPE '!'</foreach></where> ";

    String FROM =
            " FROM installation i JOIN site s ON s.id = i.site_id LEFT JOIN standing t ON t.installation_id = i.id";

    /** What the libraries hold; it changes with every sheet and instrument. */
    @Select("SELECT (SELECT COUNT(*) FROM data_sheet) || '.' || (SELECT COUNT(*) || '-' || COALESCE(SUM(version), 0)"
            + " FROM instrument)")
    String libraries();

    String OUTDATED = " FROM installation i LEFT JOIN standing t ON t.installation_id = i.id"
            + " WHERE t.rests_on IS NULL OR t.rests_on <> #{restsOn}";

    @Select("SELECT COUNT(*)" + OUTDATED)
    int countOutdated(String restsOn);

    @Select("SELECT i.id" + OUTDATED + " FETCH FIRST #{most} ROWS ONLY")
    List<String> outdated(@Param("restsOn") String restsOn, @Param("most") int most);

    @Update("MERGE INTO standing (installation_id, rests_on, stage, visited_on, pressing, counts, readings,"
            + " stake, said_us, said_si, failing, sought)"
            + " KEY (installation_id) VALUES (#{installationId}, #{restsOn}, #{stage}, #{visitedOn}, #{pressing}, #{counts},"
            + " #{readings}, #{stake}, #{saidUs}, #{saidSi}, #{failing}, #{sought})")
    void store(IndexRow row);

    @Select(
            "<script>SELECT i.id, i.reference, i.title, s.name AS building, i.system, i.crew, t.stage, t.visited_on, t.pressing,"
                    + " t.counts, t.readings, t.said_us, t.said_si" + FROM + MATCHING
                    + "ORDER BY ${order}, i.reference OFFSET #{from} ROWS FETCH NEXT #{most} ROWS ONLY</script>")
    List<ListedRow> page(
            @Param("f") Filter filter, @Param("order") String order, @Param("from") int from, @Param("most") int most);

    @Select("<script>SELECT COUNT(*)" + FROM + MATCHING + "</script>")
    int count(@Param("f") Filter filter);

    @Select("SELECT reference FROM installation")
    List<String> references();

    @Select("SELECT DISTINCT crew FROM installation ORDER BY crew")
    List<String> crews();

    @Select("SELECT name, elevation FROM site ORDER BY name")
    List<Choices.Place> places();

    @Select("<script>SELECT i.crew, t.pressing, t.failing, COUNT(*) AS count FROM installation i"
            + " JOIN standing t ON t.installation_id = i.id"
            + "<if test='crew != null'> WHERE i.crew = #{crew}</if>"
            + " GROUP BY i.crew, t.pressing, t.failing ORDER BY i.crew</script>")
    List<AlikeRow> alike(@Param("crew") String crew);
}
