/**
 * The list of stations: one line for each, in the order of the work.
 *
 * <p>The only place that names them all. Rail, machine page, paper, palette, {@code solve} and the
 * tests take it from here.
 */
package zebrawood.desktop.stations;
