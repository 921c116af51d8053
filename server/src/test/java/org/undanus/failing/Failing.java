package org.undanus.failing;

import java.util.Map;
import org.springframework.context.annotation.Import;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.journal.Journal;

/** Fails before or after it has kept something. Out of the server's own packages, which are all looked through for such. */
@RestController
@Import(Failing.Keeper.class)
public class Failing {
    private final Keeper keeper;

    Failing(Keeper keeper) {
        this.keeper = keeper;
    }

    static class Keeper {
        private final Journal journal;

        Keeper(Journal journal) {
            this.journal = journal;
        }

        @Transactional
        public void keep(boolean fails) {
            journal.write("test", "test.done", fails ? "before" : "after", Map.of());
            if (fails) {
                throw new IllegalStateException("before the commit");
            }
        }
    }

    @PostMapping("/api/test/before")
    void before() {
        keeper.keep(true);
    }

    @PostMapping("/api/test/after")
    void after() {
        keeper.keep(false);
        throw new IllegalStateException("after the commit");
    }
}
