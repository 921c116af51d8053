/** What happens at the first start: shipped rule books, the demo's data or the first account. */
package org.undanus.server.demo;
