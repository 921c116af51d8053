package org.undanus.server.trace;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.undanus.core.evidence.Trace;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.server.store.Moment;

@Mapper
interface TraceMapper {

    record TraceRow(
            String id,
            String installationId,
            String sha256,
            Dimension dimension,
            String unit,
            Instant fromAt,
            Instant toAt,
            long samples,
            double least,
            double most,
            double resolution,
            String addedBy,
            Instant addedAt) {
        public TraceRow {
            addedAt = Moment.kept(addedAt);
        }

        static TraceRow of(String id, String installation, Trace trace, String by, Instant at) {
            return new TraceRow(
                    id,
                    installation,
                    trace.sha256(),
                    trace.dimension(),
                    trace.unit().symbol(),
                    trace.from(),
                    trace.to(),
                    trace.samples(),
                    trace.least(),
                    trace.most(),
                    trace.resolution(),
                    by,
                    at);
        }

        TraceState state(String content) {
            return new TraceState(this, content);
        }

        Trace trace() {
            return new Trace(
                    sha256,
                    dimension,
                    FieldUnit.named(dimension, unit).orElseThrow(),
                    fromAt,
                    toAt,
                    samples,
                    least,
                    most,
                    resolution);
        }
    }

    /** As the journal keeps it: of the samples the digest of their CSV. */
    record TraceState(TraceRow trace, String content) {}

    String ROW =
            "SELECT id, installation_id, sha256, dimension, unit, from_at, to_at, samples, least, most, resolution,"
                    + " added_by, added_at FROM trace ";

    @Select(ROW + "ORDER BY id")
    List<TraceRow> all();

    @Select(ROW + "WHERE installation_id = #{installation} ORDER BY from_at, sha256")
    List<TraceRow> of(String installation);

    @Select(ROW + "WHERE installation_id = #{installation} AND sha256 = #{sha256}")
    TraceRow find(String installation, String sha256);

    @Insert("INSERT INTO trace (id, installation_id, sha256, dimension, unit, from_at, to_at, samples, least, most,"
            + " resolution, added_by, added_at) VALUES (#{id}, #{installationId}, #{sha256}, #{dimension}, #{unit},"
            + " #{fromAt}, #{toAt}, #{samples}, #{least}, #{most}, #{resolution}, #{addedBy}, #{addedAt})")
    void insert(TraceRow row);

    /** @param fromAt its first moment, from which its times are counted */
    record Chunk(Instant fromAt, byte[] content) {}

    @Insert("INSERT INTO trace_chunk (trace, from_at, content) VALUES (#{trace}, #{fromAt}, #{content})")
    void insertChunk(String trace, Instant fromAt, byte[] content);

    @Delete("DELETE FROM trace_chunk WHERE trace = #{trace}")
    void forgetChunks(String trace);

    String CHUNK = "SELECT from_at, content FROM trace_chunk WHERE trace = #{trace} AND from_at ";

    /** The last chunk that begins by a moment; null where none does. */
    @Select(CHUNK + "<= #{moment} ORDER BY from_at DESC FETCH FIRST 1 ROW ONLY")
    Chunk chunkAt(String trace, Instant moment);

    /** The first chunk that begins after a moment; null where none does. */
    @Select(CHUNK + "> #{moment} ORDER BY from_at FETCH FIRST 1 ROW ONLY")
    Chunk chunkAfter(String trace, Instant moment);
}
