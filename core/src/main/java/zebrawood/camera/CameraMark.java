package zebrawood.camera;

import java.util.OptionalDouble;

/**
 * A mark: where it is on the bed, and where it is in the picture.
 *
 * @param heightMm above the bed, towards the camera; 0 where empty
 * @param xPx to the right, {@code yPx} down; a pixel's middle lies half a pixel from its edges
 */
public record CameraMark(double xMm, double yMm, OptionalDouble heightMm, double xPx, double yPx) {
  double height() {
    return heightMm.orElse(0);
  }
}
