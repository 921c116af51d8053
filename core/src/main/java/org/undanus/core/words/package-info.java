/**
 * What the application says: whole sentences as templates with named arguments, put into words only when the reader's units
 * and language are known. Knows nothing of the field.
 */
package org.undanus.core.words;
