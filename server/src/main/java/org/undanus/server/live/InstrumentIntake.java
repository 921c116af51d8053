package org.undanus.server.live;

import java.time.Clock;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Where instruments come in, whichever way they come. */
@Component
public class InstrumentIntake {
    private final Clock clock;
    private final LiveStore store;
    private final Displays displays;
    private final JsonMapper json;

    InstrumentIntake(Clock clock, LiveStore store, Displays displays, JsonMapper json) {
        this.clock = clock;
        this.store = store;
        this.displays = displays;
        this.json = json;
    }

    /**
     * Takes a pack of SenML whole or not at all. What it shows can be taken over by a line for a while, whether or not one listens.
     *
     * @throws BadCredentialsException where no instrument has this token
     */
    public LiveStore.Receipt receive(String token, byte[] pack) {
        String instrument = store.instrument(token)
                .orElseThrow(() -> new BadCredentialsException("No instrument has this token. Nothing was taken."));
        SenMl.Pack read = SenMl.read(pack, clock.instant(), json);
        displays.show(instrument, read);
        return store.receive(instrument, read);
    }
}
