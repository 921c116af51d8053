/** Photos that hang on a line, a unit or a correction: checked by content, stored with SHA-256, shown small and whole. */
package org.undanus.server.photo;
