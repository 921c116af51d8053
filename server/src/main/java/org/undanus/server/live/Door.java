package org.undanus.server.live;

import java.time.Instant;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Where instruments come in, whichever way they come. */
@Component
public class Door {
    private final LiveStore store;
    private final JsonMapper json;

    Door(LiveStore store, JsonMapper json) {
        this.store = store;
        this.json = json;
    }

    /**
     * Takes a pack of SenML whole or not at all.
     *
     * @throws BadCredentialsException where no instrument has this token
     */
    public LiveStore.Receipt receive(String token, byte[] pack) {
        String instrument = store.instrument(token)
                .orElseThrow(() -> new BadCredentialsException("No instrument has this token. Nothing was taken."));
        return store.receive(instrument, SenMl.read(pack, Instant.now(), json));
    }
}
