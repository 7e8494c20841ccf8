/**
 * The controller: does it do what the job software and the machine expect, and what would put it
 * right?
 *
 * <p>{@link zebrawood.controller.Settings} reads a dump; {@link zebrawood.controller.PowerScale} is
 * the share of the laser at a word; {@link zebrawood.controller.Audit} compares the settings with
 * the machine and the job software and names the writes in an order that is safe to send one by
 * one. {@link zebrawood.controller.AxisScale}, {@link zebrawood.controller.RunUp} and {@link
 * zebrawood.controller.NamedFields} answer what a dump cannot.
 *
 * <p>Knows no link: what is sent and read back is the devices' affair.
 */
package zebrawood.controller;
