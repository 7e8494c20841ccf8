/** Shapes to be burnt by other programs, as open files of drawings. Knows no station. */
package zebrawood.records.shapes;
