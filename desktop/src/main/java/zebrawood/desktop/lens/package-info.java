/**
 * The lens sheet: how a lens was fitted, what it does, and which of the rack is for a job.
 *
 * <p>{@code LensModel} asks the lens and the job, {@code LensPicture} draws the cones of the rack
 * to one scale. The lens that is on the machine is a subject of the record: each has figures of its
 * own.
 */
package zebrawood.desktop.lens;
