/** The field of a galvo head: true size, square, everywhere; and where its pointer points. */
package zebrawood.field;
