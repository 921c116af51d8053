package org.undanus.server.datasheet;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.undanus.server.store.Moment;

@Mapper
interface SheetMapper {

    record SheetRow(String model, int version, String content, String addedBy, Instant addedAt) {
        public SheetRow {
            addedAt = Moment.kept(addedAt);
        }

        String subject() {
            return model + "@" + version;
        }
    }

    @Select("SELECT model, version, content, added_by, added_at FROM data_sheet ORDER BY model, version")
    List<SheetRow> all();

    @Select(
            "SELECT model, version, content, added_by, added_at FROM data_sheet WHERE model = #{model} ORDER BY version")
    List<SheetRow> of(String model);

    @Insert("INSERT INTO data_sheet (model, version, content, added_by, added_at)"
            + " VALUES (#{model}, #{version}, #{content}, #{addedBy}, #{addedAt})")
    void insert(SheetRow row);
}
