package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.failing.Failing;

/** An answer that cannot be made says whether what was asked for was saved. */
class SavedTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().alongside(Failing.class);

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
