package org.undanus.server.account;

/**
 * Said once a session is good for nothing more: what goes on under it ends.
 *
 * @param id of the session
 */
public record SessionOver(String id) {}
