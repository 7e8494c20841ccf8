/** Marks that were burnt in a grid, found in a picture to a fraction of a pixel. */
package zebrawood.marks;
