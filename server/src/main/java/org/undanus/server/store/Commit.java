package org.undanus.server.store;

import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** What waits for the end of a transaction. */
public final class Commit {
    private Commit() {}

    /** Once all that was read and written stands; at once where no transaction is under way, never where it is rolled back. */
    public static void after(Runnable then) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            then.run();
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                then.run();
            }
        });
    }
}
