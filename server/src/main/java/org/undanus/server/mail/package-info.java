/** Letters to crews and to the inspection office: a stand-in for a mail server that keeps what would have gone out, as .eml files. */
package org.undanus.server.mail;
