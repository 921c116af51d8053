package org.undanus.server.journal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.context.annotation.Bean;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.server.TestServer;

/** A row whose record has been renamed, or has got another component since it was journalled, still says what was journalled. */
class EarlierFormTest {
    record Memo(String id, String about, String words) {}

    record MemoOfBefore(String id, String subject) {}

    /** A kind of row that was journalled by an earlier version. */
    static class Memos {
        static Memo row = new Memo("m1", "trap", "");

        @Bean
        JournalledKind allMemos() {
            return new JournalledKind("memo", taken -> taken.accept(row.id(), row))
                    .before(
                            EarlierForm.without("words"),
                            EarlierForm.without("words").and(EarlierForm.named("about", "subject")));
        }
    }

    @RegisterExtension
    static final TestServer SERVER = TestServer.empty().alongside(Memos.class);

    private static boolean sound(Memo now) {
        Memos.row = now;
        return SERVER.bean(JournalCheck.class).run().sound();
    }

    private static void journalled(Object memo) {
        SERVER.bean(TransactionTemplate.class)
                .executeWithoutResult(any -> SERVER.bean(Journal.class).write("lead", "memo.kept", "m1", memo));
    }

    @Test
    void whatAnEarlierVersionJournalledIsSoundUnlessItWasChanged() {
        journalled(new MemoOfBefore("m1", "trap"));
        assertThat(sound(new Memo("m1", "trap", ""))).isTrue();
        assertThat(sound(new Memo("m1", "drain", ""))).isFalse();
        journalled(Map.of("id", "m1"));
        assertThat(sound(new Memo("m1", "trap", ""))).as("a form nobody wrote").isFalse();
        journalled(new Memo("m1", "trap", "primed"));
        assertThat(sound(new Memo("m1", "trap", "primed"))).isTrue();
        assertThat(sound(new Memo("m1", "trap", "dry"))).isFalse();
    }
}
