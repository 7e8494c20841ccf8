/**
 * The table of percent and output that is stuck on a machine, as a page.
 *
 * <p>Takes a curve with its unit and the day it was read; HTML and PDF come from {@code
 * zebrawood.records.paper}.
 */
package zebrawood.records.power;
