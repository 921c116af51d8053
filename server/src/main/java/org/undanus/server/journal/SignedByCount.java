package org.undanus.server.journal;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Has the journal's end signed once so many entries stand behind the last signed one: by the clock alone whoever kills the
 * process could take back what was written since. Nobody waits for it; while one signature is made the next waits for all that
 * comes meanwhile.
 */
@Component
@ConditionalOnWebApplication
class SignedByCount {
    static final int MOST_UNSIGNED = 20;

    private final HeadSigner heads;
    private final AtomicLong signed = new AtomicLong();
    private final AtomicBoolean waiting = new AtomicBoolean();
    private final ExecutorService apart = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "signs by count");
        thread.setDaemon(true);
        return thread;
    });

    SignedByCount(HeadSigner heads) {
        this.heads = heads;
    }

    @EventListener
    void linked(Journal.Linked to) {
        if (!apart.isShutdown()
                && to.sequence() - signed.get() >= MOST_UNSIGNED
                && waiting.compareAndSet(false, true)) {
            apart.execute(() -> {
                waiting.set(false);
                heads.sign("by count").ifPresent(signed::set);
            });
        }
    }

    @PreDestroy
    void end() {
        apart.shutdown();
    }
}
