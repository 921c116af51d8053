package org.undanus.server.journal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.BookText;
import org.undanus.server.Client;
import org.undanus.server.TestServer;

/** What was written since the last signature is never much, whoever kills the process. */
class SignedByCountTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().with("--undanus.sign-every=PT12H");

    private List<SignedHeads.SignedHead> heads() {
        return SERVER.bean(SignedHeads.class).read().heads();
    }

    private void until(String occasion, int before) {
        for (int i = 0;
                i < 500
                        && heads().stream().skip(before).noneMatch(head -> head.occasion()
                                .startsWith(occasion));
                i++) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(10));
        }
        assertThat(heads().stream().skip(before))
                .anyMatch(head -> head.occasion().startsWith(occasion));
    }

    @Test
    void theEndIsSignedOnceTwentyEntriesStandUnsigned() {
        Client inspector = SERVER.signedIn("inspector");
        String id = inspector.installation("LH-36");
        int before = heads().size();
        for (int i = 0; i < SignedByCount.MOST_UNSIGNED; i++) {
            inspector
                    .save(id, "siting.outdoor-clearance-front", "outdoor-1", 30 + i + " in")
                    .expect(201);
        }
        until("by count", before);
    }

    @Test
    void theEndIsSignedAtASealAPublicationAndALeadsSignIn() {
        int before = heads().size();
        Client lead = SERVER.signedIn("lead");
        until("sign-in of lead", before);
        before = heads().size();
        lead.post("/api/installations/" + lead.installation("LH-03") + "/seals", Map.of())
                .expect(201);
        until("seal LH-03/1", before);
        before = heads().size();
        String yaml = BookText.next(lead.get("/api/rule-books/sallowmere-2026-design")
                .json()
                .path("yaml")
                .asString());
        lead.send("POST", "/api/rule-books?untried=a+test+of+signing", yaml, "text/plain")
                .expect(201);
        until("published sallowmere-2026-design@" + BookText.version(yaml), before);
    }
}
