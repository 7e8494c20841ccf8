/**
 * A photograph or scan on a sheet: its file, the places pressed in it, and how it is shown.
 *
 * <p>{@code PhotoPlace} carries what every such station repeats: choosing or dropping a file,
 * preview, drag, progress, and the sentence where the file is gone. Measuring is the core's,
 * reading pixels the devices'.
 */
package zebrawood.desktop.photo;
