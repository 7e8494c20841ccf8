/**
 * What "100 %" is in watts or milliamperes, and how jobs keep their result when it changes.
 *
 * <p>Readings of a curve are made rising ({@link zebrawood.power.IsotonicFit}) before anything is
 * read off it. {@link zebrawood.power.Ceiling} finds the dial for an agreed current, {@link
 * zebrawood.power.Rescaling} the settings that give the same watts as before.
 *
 * <p>May use the machine, measuring, the ledger and words; no other station, no files, no clock.
 */
package zebrawood.power;
