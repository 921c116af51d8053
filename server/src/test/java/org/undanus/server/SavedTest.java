package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.context.annotation.Import;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.journal.Journal;

/** An answer that cannot be made says whether what was asked for was saved. */
class SavedTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().alongside(Failing.class);

    /** Fails before or after it has kept something. */
    @RestController
    @Import(Failing.Keeper.class)
    static class Failing {
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

    private final Client inspector = SERVER.signedIn("inspector");

    @Test
    void whatWasNotSavedIsSaidNotToBe() {
        assertThat(inspector.post("/api/test/before", Map.of()).expect(500).detail())
                .contains("Nothing was saved")
                .doesNotContain("It was saved");
        assertThat(SERVER.journalled("test.done", "before")).isEmpty();
    }

    @Test
    void whatWasSavedIsSaidToBe() {
        assertThat(inspector.post("/api/test/after", Map.of()).expect(500).detail())
                .contains("It was saved, but the answer to it could not be made")
                .doesNotContain("Nothing was saved");
        assertThat(SERVER.journalled("test.done", "after")).isEqualTo("test");
    }
}
