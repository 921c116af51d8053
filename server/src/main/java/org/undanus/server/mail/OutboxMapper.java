package org.undanus.server.mail;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.undanus.server.store.Moment;

@Mapper
interface OutboxMapper {

    /** @param crew whose it is; empty for the inspection office */
    record MessageRow(
            String id, String installationId, String crew, String subject, Instant writtenAt, String content) {
        public MessageRow {
            writtenAt = Moment.kept(writtenAt);
        }
    }

    String COLUMNS = "SELECT id, installation_id, crew, subject, written_at, content FROM message ";

    @Select(COLUMNS + "ORDER BY sequence")
    List<MessageRow> all();

    @Select(COLUMNS + "ORDER BY sequence DESC FETCH FIRST #{most} ROWS ONLY")
    List<MessageRow> latest(int most);

    @Select(COLUMNS + "WHERE crew = #{crew} ORDER BY sequence DESC FETCH FIRST #{most} ROWS ONLY")
    List<MessageRow> latestTo(String crew, int most);

    @Select(COLUMNS + "WHERE id = #{id}")
    MessageRow find(String id);

    @Insert("INSERT INTO message (id, installation_id, crew, subject, written_at, content)"
            + " VALUES (#{id}, #{installationId}, #{crew}, #{subject}, #{writtenAt}, #{content})")
    void insert(MessageRow row);
}
