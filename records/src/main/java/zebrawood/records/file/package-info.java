/**
 * Files that people name: read whole within a limit, written whole or not at all, never over one
 * that is there. Only plain files are read, since a pipe or a device may never end.
 */
package zebrawood.records.file;
