/**
 * The camera over the bed: a stand-in that renders photographs of a target, and the real one that
 * is read as a picture over the local network.
 *
 * <p>{@code StandInCamera} has a lens of another law than the one that is fitted (equisolid angle),
 * a lid that closes to a slightly other place each time, and a table whose height may be wrong.
 * {@code NetworkCamera} asks a camera for one picture, with limits of time and size.
 */
package zebrawood.devices.camera;
