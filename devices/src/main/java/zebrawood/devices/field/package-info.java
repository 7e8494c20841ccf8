/**
 * A simulated galvo head with its lens over a table, what it burns, and a scan of that.
 *
 * <p>Fuller than the solver: two true mirror rotations some millimetres apart, a lens with third
 * and fifth order, a table tilted, turned and out of focus; the scan has grain, shade, two scales,
 * marks gone and doubled (docs/physics.md). Lengths in mm.
 */
package zebrawood.devices.field;
