/** The report of a visit as PDF, with the margin bars drawn from the same layout as on screen, and its pages as pictures. */
package org.undanus.server.report;
