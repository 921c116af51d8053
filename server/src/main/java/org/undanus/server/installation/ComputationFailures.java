package org.undanus.server.installation;

import java.util.concurrent.atomic.LongAdder;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.Judgement;

/** Logs and counts the requirements that could not be computed. They do not make the application unfit to use. */
@Component
class ComputationFailures implements Judge.FailureListener, HealthIndicator {
    private static final Logger LOG = LoggerFactory.getLogger(ComputationFailures.class);

    private final LongAdder count = new LongAdder();

    @Override
    public void failed(Judgement inItsPlace, RuntimeException failure) {
        count.increment();
        LOG.error("{} could not be computed", inItsPlace.key(), failure);
    }

    @Override
    public Health health() {
        return Health.up().withDetail("requirementsNotComputed", count.sum()).build();
    }
}
