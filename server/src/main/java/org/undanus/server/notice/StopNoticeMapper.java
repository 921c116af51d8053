package org.undanus.server.notice;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface StopNoticeMapper {

    String COLUMNS =
            "SELECT id, installation_id, judgement, title, finding, orders, raised_by, raised_at, down_by, down_at,"
                    + " reason FROM stop_notice ";

    @Select(COLUMNS + "ORDER BY raised_at, id")
    List<StopNotice> all();

    @Select(COLUMNS + "WHERE installation_id = #{installation} AND down_at IS NULL ORDER BY raised_at, id")
    List<StopNotice> standing(String installation);

    @Select(COLUMNS + "WHERE id = #{id}")
    StopNotice find(String id);

    @Insert(
            "INSERT INTO stop_notice (id, installation_id, judgement, title, finding, orders, raised_by, raised_at)"
                    + " VALUES (#{id}, #{installationId}, #{judgement}, #{title}, #{finding}, #{orders}, #{raisedBy}, #{raisedAt})")
    void insert(StopNotice notice);

    @Update("UPDATE stop_notice SET down_by = #{downBy}, down_at = #{downAt}, reason = #{reason}"
            + " WHERE id = #{id} AND down_at IS NULL")
    int takeDown(StopNotice notice);
}
