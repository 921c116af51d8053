/** Who is there: accounts, roles, sign-in by session cookie with CSRF protection, and the slowing of wrong passwords. */
package org.undanus.server.account;
