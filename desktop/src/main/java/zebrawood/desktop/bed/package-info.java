/** The bed station's sheet: what is typed, what follows from it, and the plan of the bed. */
package zebrawood.desktop.bed;
