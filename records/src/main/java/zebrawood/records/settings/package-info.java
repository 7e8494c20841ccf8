/**
 * Lists of job settings as CSV files (RFC 4180), read, remade and written beside the old one.
 *
 * <p>Columns are found by name, all others go through as they came; power in percent, speed in mm/s
 * or mm/min. The old file is never written to.
 */
package zebrawood.records.settings;
