package org.undanus.server.store;

import java.time.Clock;
import java.time.ZoneId;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock that everything asks: what is due today, and by when, does not hang on where the machine stands. */
@Configuration
class Time {

    /** @param zone in which days begin and wall clocks are read; that of the machine where it is left empty */
    @Bean
    Clock clock(@Value("${undanus.zone}") String zone) {
        return Clock.system(zone.isEmpty() ? ZoneId.systemDefault() : ZoneId.of(zone));
    }
}
