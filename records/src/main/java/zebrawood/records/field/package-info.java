/** Files of a head's field: measured grids, tables of commands, and grids to burn. */
package zebrawood.records.field;
