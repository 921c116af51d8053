package org.undanus.server.live;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.core.derived.notation.Marks;
import org.undanus.server.account.Person;

@Mapper
interface LiveMapper {

    /** @param shownValue in the unit the line's curve is kept in */
    record Sample(Instant at, BigDecimal shownValue) {}

    @Select("SELECT instrument FROM instrument_token WHERE digest = #{digest}")
    String instrumentOf(String digest);

    /**
     * @param digest of the token
     * @param crew that it was handed to; null where the office alone hears it
     */
    record TokenRow(
            String instrument,
            String digest,
            String addedBy,
            Instant addedAt,
            @JsonInclude(JsonInclude.Include.NON_NULL) String crew) {

        boolean isHeardBy(Person person) {
            return person.inspects()
                    || person.crew().filter(own -> own.equals(crew)).isPresent();
        }
    }

    @Select("SELECT instrument, digest, added_by, added_at, crew FROM instrument_token ORDER BY instrument")
    List<TokenRow> tokens();

    /** Lets one at a time let an instrument be heard; empty where it has no token. */
    @Select("SELECT instrument FROM instrument_token WHERE instrument = #{instrument} FOR UPDATE")
    String lock(String instrument);

    @Delete("DELETE FROM instrument_token WHERE instrument = #{instrument}")
    void forgetToken(String instrument);

    @Insert("INSERT INTO instrument_token (instrument, digest, added_by, added_at, crew)"
            + " VALUES (#{instrument}, #{digest}, #{addedBy}, #{addedAt}, #{crew})")
    void addToken(TokenRow row);

    String COLUMNS = "SELECT id, installation_id, point, component, instrument, started_by, started_at, samples"
            + " FROM listening ";

    @Select(COLUMNS + "WHERE installation_id = #{installation} ORDER BY started_at, id")
    List<Listening> at(String installation);

    @Select(COLUMNS + "WHERE instrument = #{instrument} ORDER BY started_at, id FOR UPDATE")
    List<Listening> to(String instrument);

    @Select(COLUMNS + "ORDER BY started_at, id")
    List<Listening> all();

    @Select(COLUMNS + "WHERE id = #{id}")
    Listening find(String id);

    /** Held until the transaction ends, so that no sample comes in between. */
    @Select(COLUMNS + "WHERE id = #{id} FOR UPDATE")
    Listening hold(String id);

    @Insert(
            "INSERT INTO listening (id, installation_id, point, component, instrument, started_by, started_at, samples)"
                    + " VALUES (#{id}, #{installationId}, #{point}, #{component}, #{instrument}, #{startedBy}, #{startedAt}, 0)")
    void insert(Listening listening);

    @Update("UPDATE listening SET samples = samples + #{more} WHERE id = #{id}")
    void count(String id, long more);

    @Delete("DELETE FROM listening WHERE id = #{id}")
    int forget(String id);

    /** Adds a sample where there is none of that moment yet; the number of samples added. */
    @Insert("MERGE INTO live_sample AS kept USING (VALUES (CAST(#{listening} AS VARCHAR(36)),"
            + " CAST(#{at} AS TIMESTAMP(3) WITH TIME ZONE), CAST(#{value} AS DECIMAL(20, 6)))) AS sent (listening, at, shown_value)"
            + " ON kept.listening = sent.listening AND kept.at = sent.at"
            + " WHEN NOT MATCHED THEN INSERT VALUES (sent.listening, sent.at, sent.shown_value)")
    int add(String listening, Instant at, BigDecimal value);

    @Select("SELECT at, shown_value FROM live_sample WHERE listening = #{listening} ORDER BY at")
    List<Sample> samples(String listening);

    @Select(
            "SELECT at, shown_value FROM live_sample WHERE listening = #{listening} ORDER BY at DESC FETCH FIRST 1 ROW ONLY")
    Sample last(String listening);

    @Select("SELECT at, shown_value FROM live_sample WHERE listening = #{listening} ORDER BY at FETCH FIRST 1 ROW ONLY")
    Sample first(String listening);

    /** Adds a mark where there is none of that moment yet; the number added. */
    @Insert("MERGE INTO live_mark AS kept USING (VALUES (CAST(#{listening} AS VARCHAR(36)),"
            + " CAST(#{at} AS TIMESTAMP(3) WITH TIME ZONE), CAST(#{act} AS VARCHAR(20)), CAST(#{markedBy} AS VARCHAR(60))))"
            + " AS sent (listening, at, act, marked_by)"
            + " ON kept.listening = sent.listening AND kept.at = sent.at AND kept.act = sent.act"
            + " WHEN NOT MATCHED THEN INSERT VALUES (sent.listening, sent.at, sent.act, sent.marked_by)")
    int addMark(LiveMark mark);

    @Select("SELECT listening, at, act, marked_by FROM live_mark WHERE listening = #{listening} ORDER BY at, act")
    List<LiveMark> marks(String listening);

    @Select("SELECT listening, at, act, marked_by FROM live_mark ORDER BY listening, at, act")
    List<LiveMark> allMarks();

    @Select("SELECT COUNT(*) FROM live_sample WHERE listening = #{listening}")
    long counted(String listening);

    @Delete("DELETE FROM live_mark WHERE listening = #{listening} AND at = #{at} AND act = #{act}")
    int forgetMark(String listening, Instant at, Marks.Act act);

    @Delete("DELETE FROM live_mark WHERE listening = #{listening}")
    void forgetMarks(String listening);

    @Delete("DELETE FROM live_sample WHERE listening = #{listening}")
    void forgetSamples(String listening);
}
