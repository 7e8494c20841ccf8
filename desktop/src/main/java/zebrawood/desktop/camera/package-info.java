/**
 * The camera sheet: a target photographed, marks typed, or a few fresh marks; what the picture is
 * good for, and the map for whoever needs it.
 *
 * <p>{@code CameraModel} declares the ways of reading; the target's files, the stock's thickness,
 * the map's files and a camera on the head are sections. {@code CameraPicture} draws the photograph
 * with its marks and the margin over the bed, {@code CameraPractice} is a camera in a lid that does
 * not close alike twice.
 */
package zebrawood.desktop.camera;
