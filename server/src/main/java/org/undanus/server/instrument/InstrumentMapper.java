package org.undanus.server.instrument;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.server.store.Digest;
import org.undanus.server.store.Moment;

@Mapper
interface InstrumentMapper {

    record InstrumentRow(String id, String content, int version) {}

    record CertificateRow(
            String instrument, String sha256, String mediaType, String addedBy, Instant addedAt, byte[] content) {
        public CertificateRow {
            addedAt = Moment.kept(addedAt);
        }

        String subject() {
            return instrument + "@" + sha256;
        }

        CertificateState state() {
            return new CertificateState(instrument, Digest.sha256(content), mediaType, addedBy, addedAt);
        }
    }

    /** As the journal keeps it: of the file its digest. */
    record CertificateState(String instrument, String content, String mediaType, String addedBy, Instant addedAt) {}

    record CertificateKey(String instrument, String sha256) {}

    @Select("SELECT id, content, version FROM instrument ORDER BY id")
    List<InstrumentRow> all();

    @Select("SELECT id, content, version FROM instrument WHERE id = #{id}")
    InstrumentRow find(String id);

    /** The instruments named by readings at a crew's installations. */
    @Select("SELECT DISTINCT r.instrument FROM reading r JOIN installation i ON i.id = r.installation_id"
            + " WHERE i.crew = #{crew} AND r.instrument IS NOT NULL")
    Set<String> usedAt(String crew);

    @Insert("INSERT INTO instrument (id, content, version) VALUES (#{id}, #{content}, #{version})")
    void insert(InstrumentRow row);

    @Update("UPDATE instrument SET content = #{content}, version = version + 1"
            + " WHERE id = #{id} AND version = #{version}")
    int update(InstrumentRow row);

    @Select("SELECT instrument, sha256 FROM certificate ORDER BY instrument, sha256")
    List<CertificateKey> certificates();

    @Select("SELECT COUNT(*) FROM certificate WHERE instrument = #{instrument} AND sha256 = #{sha256}")
    int countCertificate(String instrument, String sha256);

    @Insert("INSERT INTO certificate (instrument, sha256, media_type, added_by, added_at, content)"
            + " VALUES (#{instrument}, #{sha256}, #{mediaType}, #{addedBy}, #{addedAt}, #{content})")
    void insertCertificate(CertificateRow row);

    @Select("SELECT instrument, sha256, media_type, added_by, added_at, content FROM certificate"
            + " WHERE instrument = #{instrument} AND sha256 = #{sha256}")
    CertificateRow certificate(String instrument, String sha256);
}
