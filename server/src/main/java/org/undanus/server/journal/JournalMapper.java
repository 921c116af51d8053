package org.undanus.server.journal;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.apache.ibatis.cursor.Cursor;

@Mapper
interface JournalMapper {

    record Head(long sequence, String hash) {}

    record Entry(
            long sequence, Instant at, String byWhom, String action, String subject, String content, String hash) {}

    /** Holds the end of the chain until the transaction ends, so that entries follow one another. */
    @Select("SELECT sequence, hash FROM journal_head WHERE id = 1 FOR UPDATE")
    Head lockHead();

    @Update("UPDATE journal_head SET sequence = #{sequence}, hash = #{hash} WHERE id = 1")
    void moveHead(Head head);

    @Select("SELECT sequence, at, by_whom, action, subject, content, hash FROM journal ORDER BY sequence")
    Cursor<Entry> all();

    @Select("SELECT sequence, hash FROM journal_head WHERE id = 1")
    Head head();

    @Select("SELECT sequence, hash, at FROM journal ORDER BY sequence DESC FETCH FIRST ROW ONLY")
    Journal.End last();

    @Select("SELECT stock_taken FROM journal_head WHERE id = 1")
    boolean stockTaken();

    @Update("UPDATE journal_head SET stock_taken = TRUE WHERE id = 1")
    void takeStock();
}
