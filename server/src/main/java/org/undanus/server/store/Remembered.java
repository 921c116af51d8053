package org.undanus.server.store;

import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Something read from the database and remembered until it changes there. While a transaction changes it nothing is
 * remembered: what others read then is of the time before, and what the transaction itself reads may be rolled back.
 */
public final class Remembered<T> {
    private final Supplier<T> reads;
    private T known;
    private int changing;
    private long changes;

    public Remembered(Supplier<T> reads) {
        this.reads = reads;
    }

    public T get() {
        long before;
        synchronized (this) {
            if (known != null) {
                return known;
            }
            before = changes;
        }
        T read = reads.get();
        synchronized (this) {
            if (changing == 0 && changes == before) {
                known = read;
            }
        }
        return read;
    }

    /** To be called before a change is made, within its transaction. */
    public synchronized void changes() {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            throw new IllegalStateException("What is remembered changes within a transaction");
        }
        begun();
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                ended();
            }
        });
    }

    private void begun() {
        known = null;
        changing++;
    }

    private synchronized void ended() {
        changing--;
        changes++;
    }
}
