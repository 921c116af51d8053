/** What is derived from readings and asked by several stations: runs of tube and drain, airflow. */
package org.undanus.core.derived;
