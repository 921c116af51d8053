package org.undanus.server.refrigerant;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.undanus.server.store.Moment;

@Mapper
interface RefrigerantMapper {

    /** @param content the file as it was brought */
    record RefrigerantRow(String name, String content, String addedBy, Instant addedAt) {
        public RefrigerantRow {
            addedAt = Moment.kept(addedAt);
        }
    }

    @Select("SELECT name, content, added_by, added_at FROM refrigerant ORDER BY added_at, name")
    List<RefrigerantRow> all();

    @Insert("INSERT INTO refrigerant (name, content, added_by, added_at)"
            + " VALUES (#{name}, #{content}, #{addedBy}, #{addedAt})")
    void insert(RefrigerantRow row);
}
