package org.undanus.server.rulebook;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface RuleBookMapper {

    record BookRow(String id, int version, String title, String yaml) {
        String subject() {
            return id + "@" + version;
        }
    }

    @Select("SELECT id, version, title, yaml FROM rule_book WHERE id = #{id} AND version = #{version}")
    BookRow find(String id, int version);

    @Select("SELECT id, version, title, yaml FROM rule_book ORDER BY id, version")
    List<BookRow> all();

    @Insert("INSERT INTO rule_book (id, version, title, yaml) VALUES (#{id}, #{version}, #{title}, #{yaml})")
    void insert(BookRow row);
}
