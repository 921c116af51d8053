/** Cases as open files: export with everything needed to judge again, and import of the same. See docs/formats/case.md. */
package org.undanus.server.exchange;
