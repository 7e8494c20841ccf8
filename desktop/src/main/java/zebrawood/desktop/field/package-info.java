/**
 * The field sheet of a galvo head: square, grid or scan, pointer, tables and what they rest on.
 *
 * <p>{@code FieldModel} declares the ways of reading; burning a grid, the scan, the pointer,
 * tables, tilt and hatch are sections, each with fields and an outcome of its own. {@code
 * FieldPicture} draws the errors enlarged, {@code FieldPractice} is a head with hidden errors.
 */
package zebrawood.desktop.field;
