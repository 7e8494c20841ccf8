package zebrawood.camera;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A camera as it was found, to go from the bed to the picture and back.
 *
 * @param numbers turn (3, radians), place (3, mm), logarithm of the focal length (px), centre (2,
 *     px), bend (4)
 * @param onlyMm the one height at which it tells places; empty where it tells them at any
 */
public record BedView(List<Double> numbers, OptionalDouble onlyMm, CameraReadings.Image image) {
  public BedView {
    numbers = List.copyOf(numbers);
    if (numbers.size() != CameraView.NUMBERS) {
      new Accepts()
          .complain(
              "numbers",
              Message.of("accepts.of-them", numbers.size()),
              Message.of("camera.accepts.thirteen"))
          .orThrow();
    }
  }

  static BedView of(CameraMap map) {
    return new BedView(
        Arrays.stream(map.view().numbers()).boxed().toList(), map.only(), map.image());
  }

  /** Made once for many places. */
  public Places places() {
    return new Places(
        new CameraView(numbers.stream().mapToDouble(d -> d).toArray()), onlyMm, image);
  }

  /** From the bed to the picture and back. */
  public static final class Places {
    private final CameraView view;
    private final OptionalDouble only;
    private final CameraReadings.Image image;

    private Places(CameraView view, OptionalDouble only, CameraReadings.Image image) {
      this.view = view;
      this.only = only;
      this.image = image;
    }

    /** Where a place shows, in px, whether or not that is in the picture. */
    public double[] px(double xMm, double yMm, double heightMm) {
      return view.px(xMm, yMm, only.orElse(heightMm));
    }

    /** Whether it is in the picture. */
    public boolean shows(double xMm, double yMm, double heightMm) {
      double[] at = px(xMm, yMm, heightMm);
      return view.sees(xMm, yMm, only.orElse(heightMm))
          && at[0] >= 0
          && at[1] >= 0
          && at[0] <= image.widthPx()
          && at[1] <= image.heightPx();
    }

    /** Where on the plane at this height a place of the picture lies, in mm. */
    public Optional<double[]> place(double xPx, double yPx, double heightMm) {
      return view.place(xPx, yPx, only.orElse(heightMm));
    }
  }
}
