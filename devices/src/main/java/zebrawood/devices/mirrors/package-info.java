/**
 * A simulated mirror train that traces rays in three dimensions, to practise on and to test with.
 */
package zebrawood.devices.mirrors;
