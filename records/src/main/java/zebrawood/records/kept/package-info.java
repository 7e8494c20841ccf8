/**
 * What an entry keeps as text: everything typed by field name, and what was understood. The typed
 * fields are read back leniently, so that an entry of any version can be opened again; nothing else
 * of it is ever needed to be read.
 */
package zebrawood.records.kept;
