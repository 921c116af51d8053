/** Station 11: was the vacuum able to show that it is dry, and did it. */
package org.undanus.core.station.evacuation;
