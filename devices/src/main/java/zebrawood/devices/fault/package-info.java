/** A machine with hidden faults, to find and to mend. */
package zebrawood.devices.fault;
