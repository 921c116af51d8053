package org.undanus.server.datasheet;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SheetMapper {

    @Select("SELECT content FROM data_sheet ORDER BY model")
    List<String> all();

    @Select("SELECT content FROM data_sheet WHERE model = #{model}")
    String find(String model);

    @Insert("INSERT INTO data_sheet (model, content) VALUES (#{model}, #{content})")
    void insert(String model, String content);
}
