/** A photograph or scan on a sheet: its file, places pressed in it, and how it is shown. */
package zebrawood.desktop.photo;
