package org.undanus.server.photo;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PhotoMapper {

    record PhotoRow(
            String id,
            String installationId,
            String point,
            String component,
            String correctionId,
            String sha256,
            String mediaType,
            int width,
            int height,
            Instant takenAt,
            Double latitude,
            Double longitude,
            String addedBy,
            Instant addedAt) {}

    record Picture(String mediaType, byte[] content) {}

    String ROW = "SELECT id, installation_id, point, component, correction_id, sha256, media_type, width, height,"
            + " taken_at, latitude, longitude, added_by, added_at FROM photo ";

    @Select(ROW + "WHERE installation_id = #{installation} ORDER BY sequence")
    List<PhotoRow> of(String installation);

    @Select(ROW + "WHERE id = #{id}")
    PhotoRow find(String id);

    @Select("SELECT media_type, content FROM photo WHERE id = #{id}")
    Picture content(String id);

    @Select("SELECT 'image/jpeg' AS media_type, thumbnail AS content FROM photo WHERE id = #{id}")
    Picture thumbnail(String id);

    @Insert(
            "INSERT INTO photo (id, installation_id, point, component, correction_id, sha256, media_type, width, height,"
                    + " taken_at, latitude, longitude, added_by, added_at, content, thumbnail) VALUES (#{row.id},"
                    + " #{row.installationId}, #{row.point}, #{row.component}, #{row.correctionId}, #{row.sha256},"
                    + " #{row.mediaType}, #{row.width}, #{row.height}, #{row.takenAt}, #{row.latitude}, #{row.longitude},"
                    + " #{row.addedBy}, #{row.addedAt}, #{content}, #{thumbnail})")
    void insert(PhotoRow row, byte[] content, byte[] thumbnail);
}
