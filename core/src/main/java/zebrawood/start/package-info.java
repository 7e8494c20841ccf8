/**
 * Start-up: is everything that stops the beam proven today, and is the machine ready to run?
 *
 * <p>{@link zebrawood.start.GoCard} makes the list for one machine, from what it has fitted, from
 * its own order of switching on, and from what went wrong before. What was answered line by line is
 * {@link zebrawood.start.StartReadings}; {@link zebrawood.start.Start} judges it, and says for any
 * other station what is not proven today. Imports no other station.
 */
package zebrawood.start;
