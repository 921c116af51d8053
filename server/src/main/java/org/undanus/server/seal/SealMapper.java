package org.undanus.server.seal;

import java.io.InputStream;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.undanus.server.store.Moment;

@Mapper
interface SealMapper {

    record SealRow(
            String number,
            String installationId,
            String visitId,
            String root,
            String fingerprint,
            long anchorSequence,
            String anchorHash,
            String sealedBy,
            Instant sealedAt) {
        public SealRow {
            sealedAt = Moment.kept(sealedAt);
        }
    }

    /** As the journal keeps it: of the file its digest. */
    record SealState(SealRow seal, String content) {}

    /**
     * A file, open while the transaction lasts.
     *
     * @param apart whether photos that are kept here are left out of it, and the seal is its first entry
     */
    record Content(InputStream content, boolean apart) {}

    String COLUMNS =
            "SELECT number, installation_id, visit_id, root, fingerprint, anchor_sequence, anchor_hash, sealed_by,"
                    + " sealed_at FROM seal ";

    @Select(COLUMNS + "ORDER BY sequence")
    List<SealRow> all();

    @Select(COLUMNS + "WHERE installation_id = #{installation} ORDER BY sequence")
    List<SealRow> of(String installation);

    @Select(COLUMNS + "WHERE number = #{number}")
    SealRow find(String number);

    /** Each time anew: a stream that was read is at its end. */
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select("SELECT content, apart FROM seal WHERE number = #{number}")
    Content content(String number);

    @Insert(
            "INSERT INTO seal (number, installation_id, visit_id, root, fingerprint, anchor_sequence, anchor_hash,"
                    + " sealed_by, sealed_at, content, apart) VALUES (#{row.number}, #{row.installationId}, #{row.visitId}, #{row.root},"
                    + " #{row.fingerprint}, #{row.anchorSequence}, #{row.anchorHash}, #{row.sealedBy}, #{row.sealedAt}, #{content}, #{apart})")
    void insert(SealRow row, InputStream content, boolean apart);
}
