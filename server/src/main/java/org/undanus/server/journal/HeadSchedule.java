package org.undanus.server.journal;

import jakarta.annotation.PreDestroy;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Has the journal's end signed while people work, at each day's end and when Undanus is stopped. */
@Component
@EnableScheduling
@ConditionalOnWebApplication
class HeadSchedule {
    private final HeadSigner heads;

    HeadSchedule(HeadSigner heads) {
        this.heads = heads;
    }

    @Scheduled(initialDelayString = "${undanus.sign-every}", fixedDelayString = "${undanus.sign-every}")
    void whileWorking() {
        heads.sign("while working");
    }

    @Scheduled(cron = "59 59 23 * * *")
    void atTheDaysEnd() {
        heads.sign("day's end");
    }

    @PreDestroy
    void whenStopped() {
        heads.sign("stopped");
    }
}
