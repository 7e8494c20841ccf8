/**
 * The camera over the bed: what its picture shows is where the beam will burn.
 *
 * <p>{@link zebrawood.camera.CameraCalibration} fits lens and place of the camera ({@link
 * zebrawood.camera.CameraView}) through marks at known places, from a first guess ({@link
 * zebrawood.camera.CameraStart}), with misread marks left out ({@link
 * zebrawood.camera.MisreadMarks}), and tells how sure a place is all over the bed ({@link
 * zebrawood.camera.CameraMap}).
 *
 * <p>Places on the bed are in mm, x to the right and y to the rear, heights towards the camera;
 * places in the picture in pixels of the upright picture, x to the right and y down.
 */
package zebrawood.camera;
