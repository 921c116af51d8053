package org.undanus.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

class RememberedTest {
    private int kept = 1;
    private int reads;
    private Runnable whileReading = () -> {};
    private final Remembered<Integer> remembered = new Remembered<>(() -> {
        int read = kept;
        reads++;
        whileReading.run();
        return read;
    });

    private static void begin() {
        TransactionSynchronizationManager.initSynchronization();
    }

    private static void end() {
        List<TransactionSynchronization> all = TransactionSynchronizationManager.getSynchronizations();
        TransactionSynchronizationManager.clearSynchronization();
        all.forEach(each -> each.afterCompletion(TransactionSynchronization.STATUS_UNKNOWN));
    }

    @AfterEach
    void noTransactionIsLeftOpen() {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            end();
        }
    }

    @Test
    void itIsReadOnceUntilItChanges() {
        assertThat(remembered.get()).isEqualTo(1);
        assertThat(remembered.get()).isEqualTo(1);
        assertThat(reads).isEqualTo(1);
        begin();
        remembered.changes();
        kept = 2;
        end();
        assertThat(remembered.get()).isEqualTo(2);
        assertThat(reads).isEqualTo(2);
    }

    @Test
    void aChangingTransactionKnowsItsOwnAndTellsNobody() {
        begin();
        remembered.changes();
        kept = 2;
        assertThat(remembered.get()).isEqualTo(2);
        assertThat(remembered.get()).isEqualTo(2);
        assertThat(reads).isEqualTo(1);
        remembered.changes();
        kept = 3;
        assertThat(remembered.get()).isEqualTo(3);
        // rolled back
        kept = 1;
        end();
        assertThat(remembered.get()).isEqualTo(1);
    }

    private static void elsewhere(Runnable done) {
        Thread other = new Thread(done);
        other.start();
        try {
            other.join();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void whatOthersReadWhileItChangesIsNotRemembered() {
        begin();
        remembered.changes();
        elsewhere(remembered::get);
        kept = 2;
        end();
        assertThat(reads).isEqualTo(1);
        assertThat(remembered.get()).isEqualTo(2);
    }

    @Test
    void whatWasReadWhileAnotherTransactionEndedIsNotRemembered() {
        whileReading = () -> {
            whileReading = () -> {};
            elsewhere(() -> {
                begin();
                remembered.changes();
                kept = 2;
                end();
            });
        };
        assertThat(remembered.get()).isEqualTo(1);
        assertThat(remembered.get()).isEqualTo(2);
    }

    @Test
    void outsideATransactionNothingChanges() {
        assertThatThrownBy(remembered::changes).isInstanceOf(IllegalStateException.class);
    }
}
