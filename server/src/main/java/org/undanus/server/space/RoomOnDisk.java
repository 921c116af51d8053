package org.undanus.server.space;

import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/** Whether the disk that the data lie on has room for more. Asked anew each time: it goes on by itself. */
@Component
public class RoomOnDisk implements HealthIndicator {
    private final Path data;
    private final DataSize least;

    RoomOnDisk(@Value("${undanus.data}") Path data, @Value("${undanus.least-free-space}") DataSize least) {
        this.data = data;
        this.least = least;
    }

    public boolean full() {
        return !roomFor(0);
    }

    /** Whether so many bytes more leave enough. */
    public boolean roomFor(long bytes) {
        return free() - bytes >= least.toBytes();
    }

    private long free() {
        return data.toFile().getUsableSpace();
    }

    @Override
    public Health health() {
        Health.Builder health = full() ? Health.down().withDetail("reason", "the disk is full") : Health.up();
        return health.withDetail("freeBytes", free())
                .withDetail("leastFreeBytes", least.toBytes())
                .build();
    }
}
