/** The lens sheet: how a lens was fitted, what it does, and which of the rack is for a job. */
package zebrawood.desktop.lens;
