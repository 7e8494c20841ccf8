package zebrawood.camera;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * Marks at known places of the bed, and where they are in a picture.
 *
 * @param markResolutionPx to which a mark's place in the picture was read
 * @param bedMm how far the bed reaches, from 0, to the right and to the rear
 * @param lens exactly known; found from the marks where empty
 * @param at places of the picture whose places on the bed are asked
 */
public record CameraReadings(
    Image image,
    List<CameraMark> marks,
    double markResolutionPx,
    double toleranceMm,
    List<Double> bedMm,
    Optional<CameraLens> lens,
    Optional<List<Asked>> at) {
  static final int LEAST_MARKS = 8;
  static final double FARTHEST_MM = 20_000;
  private static final int MOST_MARKS = 10_000;
  private static final int LARGEST_PX = 100_000;
  private static final double HIGHEST_MM = 2_000;

  /** Marks whose smaller spread is below this part of the larger lie on one line. */
  private static final double ON_A_LINE = 0.03;

  /** Of a picture, as wide and high as it is upright. */
  public record Image(int widthPx, int heightPx) {}

  /** A place of the picture, and how high above the bed lies what is seen there. */
  public record Asked(double xPx, double yPx, double heightMm) {}

  public CameraReadings {
    marks = List.copyOf(marks);
    bedMm = List.copyOf(bedMm);
    at = at.map(List::copyOf);
    var accepts =
        new Accepts()
            .between("image.widthPx", image.widthPx, 16, LARGEST_PX)
            .between("image.heightPx", image.heightPx, 16, LARGEST_PX)
            .atLeast("marks", marks, LEAST_MARKS, "camera.count.marks")
            .atMost("marks", marks, MOST_MARKS)
            .positive("markResolutionPx", markResolutionPx, 1000)
            .positive("toleranceMm", toleranceMm, 1000);
    checkBed(bedMm, accepts);
    for (int i = 0; i < Math.min(marks.size(), MOST_MARKS); i++) {
      CameraMark m = marks.get(i);
      String of = "marks[" + i + "].";
      accepts
          .between(of + "xMm", m.xMm(), -FARTHEST_MM, FARTHEST_MM)
          .between(of + "yMm", m.yMm(), -FARTHEST_MM, FARTHEST_MM)
          .between(of + "heightMm", m.height(), -HIGHEST_MM, HIGHEST_MM)
          .between(of + "xPx", m.xPx(), 0, image.widthPx)
          .between(of + "yPx", m.yPx(), 0, image.heightPx);
    }
    at.ifPresent(asked -> checkAsked(asked, accepts));
    accepts.orThrow();
    if (onOneLine(marks)) {
      accepts
          .complain("marks", Message.of("accepts.in-one-line"), Message.of("camera.accepts.spread"))
          .orThrow();
    }
  }

  static void checkBed(List<Double> bedMm, Accepts accepts) {
    if (bedMm.size() != 2) {
      accepts.complain(
          "bedMm",
          Message.of("accepts.of-them", bedMm.size()),
          Message.of("camera.accepts.two-numbers"));
    } else {
      accepts
          .positive("bedMm[0]", bedMm.get(0), FARTHEST_MM)
          .positive("bedMm[1]", bedMm.get(1), FARTHEST_MM);
    }
  }

  static void checkAsked(List<Asked> asked, Accepts accepts) {
    accepts.atMost("at", asked, MOST_MARKS);
    for (int i = 0; i < Math.min(asked.size(), MOST_MARKS); i++) {
      String of = "at[" + i + "].";
      accepts
          .between(of + "xPx", asked.get(i).xPx, -LARGEST_PX, LARGEST_PX)
          .between(of + "yPx", asked.get(i).yPx, -LARGEST_PX, LARGEST_PX)
          .between(of + "heightMm", asked.get(i).heightMm, -HIGHEST_MM, HIGHEST_MM);
    }
  }

  /** By the two principal standard deviations of where they lie. */
  private static boolean onOneLine(List<CameraMark> marks) {
    double mx = marks.stream().mapToDouble(CameraMark::xMm).average().orElseThrow();
    double my = marks.stream().mapToDouble(CameraMark::yMm).average().orElseThrow();
    double xx = 0;
    double yy = 0;
    double xy = 0;
    for (CameraMark m : marks) {
      double dx = m.xMm() - mx;
      double dy = m.yMm() - my;
      xx += dx * dx;
      yy += dy * dy;
      xy += dx * dy;
    }
    double middle = (xx + yy) / 2;
    double half = Math.hypot((xx - yy) / 2, xy);
    return !(middle - half >= ON_A_LINE * ON_A_LINE * (middle + half)) || !(middle + half > 0);
  }

  double bedX() {
    return bedMm.get(0);
  }

  double bedY() {
    return bedMm.get(1);
  }
}
