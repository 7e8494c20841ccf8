/** The list of stations: one line for each, in the order of the work. */
package zebrawood.desktop.stations;
