package zebrawood.marks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Places of a picture that are darker than all about them: where marks may be. */
final class DarkPlaces {
  /** Blocks of the small picture from mark to mark. */
  private static final double SMALL_PITCH = 36;

  private static final double SMOOTHED = 0.06;
  private static final double ABOUT = 0.5;
  private static final double APART = 0.28;

  /** More dark places than so many times the marks are not looked at: the darkest count. */
  private static final int TIMES_AS_MANY = 8;

  /** A rule that lies in a scan of few marks has this many lines. */
  private static final int LEAST_LOOKED_AT = 1500;

  private DarkPlaces() {}

  /** One of them, in pixels of the picture. */
  record Place(double x, double y, double darkness) {}

  /**
   * @param pitchPx roughly, from mark to mark
   * @param wanted how many marks there are
   */
  static List<Place> of(zebrawood.measure.Picture picture, double pitchPx, int wanted) {
    int block = (int) Math.max(1, Math.floor(pitchPx / SMALL_PITCH));
    double pitch = pitchPx / block;
    Grey dark =
        new Grey(picture, block)
            .darkness(
                (int) Math.max(1, Math.round(SMOOTHED * pitch)),
                (int) Math.max(3, Math.round(ABOUT * pitch)));
    int apart = (int) Math.max(2, Math.round(APART * pitch));
    List<Place> places = new ArrayList<>();
    for (int y = 0; y < dark.height(); y++) {
      for (int x = 0; x < dark.width(); x++) {
        float here = dark.at(x, y);
        if (here > 1 && darkest(dark, x, y, here, apart)) {
          places.add(new Place((x + 0.5) * block, (y + 0.5) * block, here));
        }
      }
    }
    places.sort(Comparator.comparingDouble(p -> -p.darkness));
    return places.subList(
        0, Math.min(places.size(), Math.max(LEAST_LOOKED_AT, TIMES_AS_MANY * wanted)));
  }

  private static boolean darkest(Grey dark, int x, int y, float here, int apart) {
    int top = Math.max(0, y - apart);
    int bottom = Math.min(dark.height() - 1, y + apart);
    int left = Math.max(0, x - apart);
    int right = Math.min(dark.width() - 1, x + apart);
    for (int v = top; v <= bottom; v++) {
      for (int u = left; u <= right; u++) {
        float other = dark.at(u, v);
        if (other > here || other == here && (v < y || v == y && u < x)) {
          return false;
        }
      }
    }
    return true;
  }
}
