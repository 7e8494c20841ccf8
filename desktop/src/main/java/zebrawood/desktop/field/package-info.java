/** The field sheet of a galvo head: square, grid or scan, pointer, tables and what they rest on. */
package zebrawood.desktop.field;
