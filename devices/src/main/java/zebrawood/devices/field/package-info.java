/** A simulated galvo head with its lens over a table, what it burns, and a scan of that. */
package zebrawood.devices.field;
