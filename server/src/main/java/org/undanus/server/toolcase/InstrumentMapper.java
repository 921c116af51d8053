package org.undanus.server.toolcase;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface InstrumentMapper {

    @Select("SELECT content FROM instrument ORDER BY id")
    List<String> all();

    @Select("SELECT content FROM instrument WHERE id = #{id}")
    String find(String id);

    @Insert("INSERT INTO instrument (id, content) VALUES (#{id}, #{content})")
    void insert(String id, String content);
}
