/** Letters to crews and to the inspection office: kept as .eml files, and handed to a mail server for those who want them by mail. */
package org.undanus.server.mail;
