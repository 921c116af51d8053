package org.undanus.server.hold;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface HoldMapper {

    String COLUMNS =
            "SELECT id, installation_id, point, component, witnessed, started_by, started_at, ended_by, ended_at,"
                    + " reading_id FROM held ";

    @Select(COLUMNS + "ORDER BY started_at, id")
    List<Hold> all();

    @Select(COLUMNS + "WHERE ended_at IS NULL ORDER BY started_at, id")
    List<Hold> running();

    @Select(COLUMNS + "WHERE id = #{id}")
    Hold find(String id);

    @Insert("INSERT INTO held (id, installation_id, point, component, witnessed, started_by, started_at)"
            + " VALUES (#{id}, #{installationId}, #{point}, #{component}, #{witnessed}, #{startedBy}, #{startedAt})")
    void insert(Hold hold);

    @Update("UPDATE held SET ended_by = #{endedBy}, ended_at = #{endedAt}, reading_id = #{readingId}"
            + " WHERE id = #{id} AND ended_at IS NULL")
    int end(Hold hold);
}
