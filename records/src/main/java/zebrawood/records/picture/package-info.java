/**
 * The small canvas that every picture is drawn on, once: in the window with the toolkit's nodes, on
 * paper as SVG. Lengths are pixels, y is downwards, and a look is a name that each backend knows.
 */
package zebrawood.records.picture;
