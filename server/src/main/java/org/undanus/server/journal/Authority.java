package org.undanus.server.journal;

/** Knows whether whoever asked for this change may still ask for it, now that it is about to be kept. */
@FunctionalInterface
public interface Authority {

    /**
     * Asked in the transaction that writes, once no other can be kept before it.
     *
     * @throws RuntimeException where the account was switched off or changed since the request began; nothing is kept then
     */
    void require();
}
