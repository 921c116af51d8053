/**
 * What people are shown of a case: the case itself, its stations line by line, judgements and drawings in a reader's units. Pure
 * functions of a case in plain Java over the core: whatever can run Java can show them. It knows no server.
 */
package org.undanus.view;
