/**
 * The register of installations with their units and visits, and the case file: everything known of one installation,
 * judged. Other features open a case file here; nobody else reads these tables.
 */
package org.undanus.server.installation;
