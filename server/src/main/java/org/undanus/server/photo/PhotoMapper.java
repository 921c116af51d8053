package org.undanus.server.photo;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.undanus.server.store.Digest;
import org.undanus.server.store.Moment;

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
            Instant addedAt) {
        public PhotoRow {
            takenAt = Moment.kept(takenAt);
            addedAt = Moment.kept(addedAt);
        }

        PhotoState state(byte[] content, byte[] thumbnail) {
            return new PhotoState(this, Digest.sha256(content), Digest.sha256(thumbnail));
        }
    }

    /** As the journal keeps it: of the pictures their digests. */
    record PhotoState(PhotoRow photo, String content, String thumbnail) {}

    /** @param marks as JSON */
    record MarksRow(String photoId, int version, String marks, String drawnBy, Instant drawnAt) {
        public MarksRow {
            drawnAt = Moment.kept(drawnAt);
        }

        String subject() {
            return photoId + "@" + version;
        }
    }

    record Picture(String mediaType, byte[] content) {}

    String ROW = "SELECT id, installation_id, point, component, correction_id, sha256, media_type, width, height,"
            + " taken_at, latitude, longitude, added_by, added_at FROM photo ";

    @Select(ROW + "WHERE installation_id = #{installation} ORDER BY sequence")
    List<PhotoRow> of(String installation);

    @Select(ROW + "ORDER BY sequence")
    List<PhotoRow> all();

    @Select(ROW + "WHERE id = #{id}")
    PhotoRow find(String id);

    @Select("SELECT COALESCE(SUM(OCTET_LENGTH(content)), 0) FROM photo WHERE installation_id = #{installation}")
    long bytes(String installation);

    @Select("SELECT media_type, content FROM photo WHERE id = #{id}")
    Picture content(String id);

    @Select("SELECT COUNT(*) > 0 FROM photo WHERE sha256 = #{sha256}")
    boolean holds(String sha256);

    /** Not remembered: a transaction may go through all of them. */
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select("SELECT media_type, content FROM photo WHERE sha256 = #{sha256} FETCH FIRST ROW ONLY")
    Picture ofDigest(String sha256);

    @Select("SELECT 'image/jpeg' AS media_type, thumbnail AS content FROM photo WHERE id = #{id}")
    Picture thumbnail(String id);

    @Insert(
            "INSERT INTO photo (id, installation_id, point, component, correction_id, sha256, media_type, width, height,"
                    + " taken_at, latitude, longitude, added_by, added_at, content, thumbnail) VALUES (#{row.id},"
                    + " #{row.installationId}, #{row.point}, #{row.component}, #{row.correctionId}, #{row.sha256},"
                    + " #{row.mediaType}, #{row.width}, #{row.height}, #{row.takenAt}, #{row.latitude}, #{row.longitude},"
                    + " #{row.addedBy}, #{row.addedAt}, #{content}, #{thumbnail})")
    void insert(PhotoRow row, byte[] content, byte[] thumbnail);

    @Select("SELECT photo_id, version, marks, drawn_by, drawn_at FROM photo_marks ORDER BY photo_id, version")
    List<MarksRow> allMarks();

    /** Those that stand on the photos of an installation. */
    @Select(
            "SELECT m.photo_id, m.version, m.marks, m.drawn_by, m.drawn_at FROM photo_marks m JOIN photo p ON p.id = m.photo_id"
                    + " WHERE p.installation_id = #{installation}"
                    + " AND m.version = (SELECT MAX(n.version) FROM photo_marks n WHERE n.photo_id = m.photo_id)")
    List<MarksRow> marksOf(String installation);

    @Select("SELECT photo_id, version, marks, drawn_by, drawn_at FROM photo_marks WHERE photo_id = #{photo}"
            + " ORDER BY version DESC FETCH FIRST ROW ONLY")
    MarksRow marks(String photo);

    @Insert("INSERT INTO photo_marks (photo_id, version, marks, drawn_by, drawn_at)"
            + " VALUES (#{photoId}, #{version}, #{marks}, #{drawnBy}, #{drawnAt})")
    void insertMarks(MarksRow row);
}
