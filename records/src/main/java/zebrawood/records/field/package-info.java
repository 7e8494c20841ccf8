/**
 * Files of a head's field: measured grids read, tables of commands read and written, grids to burn.
 *
 * <p>CSV and JSON for grids and tables, SVG, DXF and G-code for the grid to burn; formats stand in
 * docs/formats.md. Lengths in mm from the field's centre. A file that is not whole is refused and
 * nothing of it is taken.
 */
package zebrawood.records.field;
