package org.undanus.server.backup;

import java.io.IOException;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks for wishes left in the data folder while Undanus runs. */
@Component
@ConditionalOnWebApplication
class BackupWatch {
    private static final Logger LOG = LoggerFactory.getLogger(BackupWatch.class);

    private final Path folder;
    private final Backup backup;

    BackupWatch(@Value("${undanus.data}") Path folder, Backup backup) {
        this.folder = folder;
        this.backup = backup;
    }

    @Scheduled(fixedDelayString = "PT1S")
    void look() {
        try {
            for (BackupRequest request : BackupRequest.in(folder)) {
                request.fulfil(backup);
            }
        } catch (IOException e) {
            LOG.warn("A wish for a backup could not be answered: {}", e.getMessage());
        }
    }
}
