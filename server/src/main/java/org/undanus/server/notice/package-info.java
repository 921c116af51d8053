/** Notices that stop a visit. */
package org.undanus.server.notice;
