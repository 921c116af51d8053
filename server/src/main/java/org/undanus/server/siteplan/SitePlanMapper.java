package org.undanus.server.siteplan;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.undanus.server.store.Moment;

@Mapper
interface SitePlanMapper {

    record PlanRow(String installationId, int version, String content, String drawnBy, Instant drawnAt) {
        public PlanRow {
            drawnAt = Moment.kept(drawnAt);
        }

        String subject() {
            return installationId + "@" + version;
        }
    }

    String NEWEST = "SELECT p.installation_id, p.version, p.content, p.drawn_by, p.drawn_at FROM site_plan p"
            + " WHERE p.version = (SELECT MAX(q.version) FROM site_plan q WHERE q.installation_id = p.installation_id)";

    @Select("SELECT installation_id, version, content, drawn_by, drawn_at FROM site_plan"
            + " ORDER BY installation_id, version")
    List<PlanRow> everyVersion();

    @Select(NEWEST)
    List<PlanRow> all();

    @Select("SELECT DISTINCT installation_id FROM site_plan")
    List<String> drawn();

    @Select(NEWEST + " AND p.installation_id = #{id}")
    PlanRow find(String id);

    @Insert("INSERT INTO site_plan (installation_id, version, content, drawn_by, drawn_at)"
            + " VALUES (#{installationId}, #{version}, #{content}, #{drawnBy}, #{drawnAt})")
    void insert(PlanRow row);
}
