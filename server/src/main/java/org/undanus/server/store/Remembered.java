package org.undanus.server.store;

import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Something read from the database and remembered until it changes there. While a transaction changes it, what that
 * transaction reads is remembered for itself alone, for it may be rolled back, and for the others nothing is: what they read
 * then is of the time before. A changing transaction is not to be suspended by another.
 */
public final class Remembered<T> {
    private final Supplier<T> reads;
    private T known;
    private int changing;
    private long changes;

    /** What a changing transaction itself knows, bound to its thread. */
    private static final class Own<T> {
        private T known;
    }

    public Remembered(Supplier<T> reads) {
        this.reads = reads;
    }

    public T get() {
        Own<T> own = own();
        if (own == null) {
            return shared();
        }
        if (own.known == null) {
            own.known = reads.get();
        }
        return own.known;
    }

    private T shared() {
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

    @SuppressWarnings("unchecked")
    private Own<T> own() {
        return (Own<T>) TransactionSynchronizationManager.getResource(this);
    }

    /** To be called within the transaction that changes it, before what then stands there is asked for. */
    public void changes() {
        Own<T> own = own();
        if (own != null) {
            own.known = null;
            return;
        }
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            throw new IllegalStateException("What is remembered changes within a transaction");
        }
        begun();
        TransactionSynchronizationManager.bindResource(this, new Own<T>());
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                TransactionSynchronizationManager.unbindResource(Remembered.this);
                ended();
            }
        });
    }

    private synchronized void begun() {
        known = null;
        changing++;
    }

    private synchronized void ended() {
        changing--;
        changes++;
    }
}
