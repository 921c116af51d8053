/** Station 9: ducts, filter and airflow. */
package org.undanus.core.station.airside;
