/**
 * The focus sheet: every way to find where the beam is smallest, and what the machine is set to.
 */
package zebrawood.desktop.focus;
