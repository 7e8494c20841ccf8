/**
 * Work that takes longer than a frame: progress, cancel, newest wins, never on the interface's
 * thread.
 */
package zebrawood.desktop.job;
