/** The table of percent and output that is stuck on a machine. */
package zebrawood.records.power;
