package zebrawood.marks;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import zebrawood.measure.Picture;

/**
 * Places of a picture that have a mark's shape. A cross has four arms: it answers by the weakest of
 * them, less what stands between them. A dot is ink all over and has none about it. A speck, a
 * pen's stroke, a rule's tick, grain or a shadow's edge has neither, however dark it is.
 */
public final class MarkShapes {
  /** Lengths of an arm, or radii of a dot, that are tried: in pitches, from the smallest. */
  private static final double[] SIZES = {0.02, 0.03, 0.045, 0.065, 0.09, 0.13, 0.18, 0.24};

  private static final double MOST_TURN_DEG = 11;
  private static final int TURNS = 9;
  private static final int SAMPLES = 10;

  /** Behind where the arms meet, and where the ink of a line that crosses begins. */
  private static final double ARM_FROM = 0.28;

  private static final double ARM_TO = 0.92;
  private static final double APART = 0.2;

  /** Of the sheet's light: less is no mark. */
  private static final float LEAST_INK = 0.015f;

  /** In spreads of the ink that the sheet itself has. */
  private static final float ABOVE_USUAL = 3;

  private static final double LEAST_RESPONSE = 0.01;

  /** Steps from a dot's darkest pixel to its middle. */
  private static final int TO_THE_MIDDLE = 2;

  /** As many are looked at for each mark, and this many at least. */
  private static final int TIMES_AS_MANY = 12;

  private static final int LEAST_KEPT = 600;

  /** More places of a picture than this are grain: only the darkest are looked at. */
  private static final int MOST_LOOKED_AT = 40_000;

  private final Ink ink;
  private final MarkKind kind;
  private final double pitch;
  private final Where where;

  /**
   * A place that may be a mark, in pixels of the picture.
   *
   * @param response how much it is one: its ink, less what speaks against it
   * @param sizePx an arm's length, or a radius
   */
  public record Place(double x, double y, double response, double sizePx) {}

  private MarkShapes(Ink ink, MarkKind kind, double pitch, Where where) {
    this.ink = ink;
    this.where = where;
    this.kind = kind;
    this.pitch = pitch;
  }

  /**
   * The strongest, strongest first; none of them within a fifth of a pitch of a stronger one.
   *
   * @param pitchPx roughly, from mark to mark
   */
  static List<Place> of(Ink ink, MarkKind kind, double pitchPx, int wanted) {
    MarkShapes shapes = new MarkShapes(ink, kind, pitchPx / ink.block(), (x, y) -> true);
    return shapes.strongest(most(wanted));
  }

  /**
   * The places of a picture that is seen from straight above, the strongest first.
   *
   * @param pitchPx roughly, from mark to mark
   * @param widestPx of a mark's line, or of a dot
   * @param wanted how many marks there are
   * @param where a mark may be at all
   */
  public static List<Place> seen(
      Picture picture,
      MarkKind kind,
      double pitchPx,
      double widestPx,
      int wanted,
      boolean lightOnDark,
      Where where) {
    Ink ink = Ink.of(picture, 1, (int) Math.max(2, Math.ceil(widestPx)), lightOnDark);
    return new MarkShapes(ink, kind, pitchPx, where).strongest(most(wanted));
  }

  private static int most(int wanted) {
    return Math.max(LEAST_KEPT, TIMES_AS_MANY * wanted);
  }

  /** Which places of a picture come into question. */
  @FunctionalInterface
  public interface Where {
    boolean mayBe(int x, int y);
  }

  private record Spot(int x, int y, float ink) {}

  private List<Place> strongest(int most) {
    float[] usual = ink.usual();
    float least = Math.max(LEAST_INK, usual[0] + ABOVE_USUAL * usual[1]);
    List<Spot> spots =
        IntStream.range(1, ink.height() - 1)
            .parallel()
            .boxed()
            .flatMap(y -> row(y, least).stream())
            .toList();
    if (spots.size() > MOST_LOOKED_AT) {
      spots =
          spots.stream()
              .sorted(Comparator.comparingDouble(s -> -s.ink))
              .limit(MOST_LOOKED_AT)
              .toList();
    }
    List<Place> places =
        spots.parallelStream()
            .map(s -> kind == MarkKind.CROSS ? cross(s.x, s.y) : dot(s.x, s.y))
            .filter(p -> p.response() > LEAST_RESPONSE)
            .sorted(Comparator.comparingDouble(p -> -p.response()))
            .toList();
    return apart(places, most);
  }

  /** The places of a row that have more ink than their neighbours. */
  private List<Spot> row(int y, float least) {
    List<Spot> spots = new ArrayList<>();
    for (int x = 1; x < ink.width() - 1; x++) {
      if (ink.at(x, y) < least || !where.mayBe(x, y)) {
        continue;
      }
      float here = ink.about(x, y);
      if (here >= least
          && here >= ink.about(x - 1, y)
          && here > ink.about(x + 1, y)
          && here >= ink.about(x, y - 1)
          && here > ink.about(x, y + 1)) {
        spots.add(new Spot(x, y, here));
      }
    }
    return spots;
  }

  private List<Place> apart(List<Place> strongestFirst, int most) {
    double cell = APART * pitch * ink.block();
    PlaceIndex taken = new PlaceIndex(cell);
    List<Place> kept = new ArrayList<>();
    for (Place p : strongestFirst) {
      if (kept.size() == most) {
        break;
      }
      if (taken.within(p.x(), p.y(), cell).isEmpty()) {
        kept.add(p);
        taken.add(p);
      }
    }
    return kept;
  }

  private Place place(int x, int y, double response, double size) {
    return new Place(
        (x + 0.5) * ink.block(), (y + 0.5) * ink.block(), response, size * ink.block());
  }

  private Place cross(int x, int y) {
    double best = 0;
    double itsSize = 0;
    for (double share : SIZES) {
      double length = share * pitch;
      if (length < 3) {
        continue;
      }
      for (int turn = 0; turn < TURNS; turn++) {
        double angle = Math.toRadians(MOST_TURN_DEG * (2.0 * turn / (TURNS - 1) - 1));
        double weakest = Double.MAX_VALUE;
        double toBeat = Math.max(best, LEAST_RESPONSE);
        for (int arm = 0; arm < 4 && weakest > toBeat; arm++) {
          weakest = Math.min(weakest, along(x, y, angle + arm * Math.PI / 2, length, true));
        }
        if (weakest <= toBeat) {
          continue;
        }
        double first = 0;
        double second = 0;
        for (int between = 0; between < 4; between++) {
          double ink = along(x, y, angle + (between + 0.5) * Math.PI / 2, length, false);
          if (ink > first) {
            second = first;
            first = ink;
          } else {
            second = Math.max(second, ink);
          }
        }
        // A longer arm that is as dark says more than a shorter one.
        double response = (weakest - second) * (1 + 0.1 * Math.log(length / 3));
        if (response > best) {
          best = response;
          itsSize = length;
        }
      }
    }
    return place(x, y, best, itsSize);
  }

  /** The mean ink along an arm; of a line the darkest of three beside one another. */
  private double along(int x, int y, double angle, double length, boolean line) {
    double c = Math.cos(angle);
    double s = Math.sin(angle);
    double sum = 0;
    for (int i = 0; i < SAMPLES; i++) {
      double t = length * (ARM_FROM + (ARM_TO - ARM_FROM) * i / (SAMPLES - 1));
      double px = x + 0.5 + t * c;
      double py = y + 0.5 + t * s;
      float here = ink.at((int) Math.floor(px), (int) Math.floor(py));
      if (line) {
        here =
            Math.max(
                here,
                Math.max(
                    ink.at((int) Math.floor(px - s), (int) Math.floor(py + c)),
                    ink.at((int) Math.floor(px + s), (int) Math.floor(py - c))));
      }
      sum += here;
    }
    return sum / SAMPLES;
  }

  private Place dot(int x, int y) {
    double best = 0;
    Place its = place(x, y, 0, 0);
    for (double share : SIZES) {
      double radius = share * pitch;
      if (radius < 1.5) {
        continue;
      }
      // The darkest pixel of a dot may lie anywhere in it.
      double[] at = {x + 0.5, y + 0.5};
      for (int round = 0; round < TO_THE_MIDDLE; round++) {
        at = shifted(at, radius);
      }
      double inside = eighths(at, 0.75 * radius)[1];
      double middle = ink.about((int) Math.floor(at[0]), (int) Math.floor(at[1]));
      double around = eighths(at, 1.6 * radius + 1)[6];
      double response = (Math.min(inside, middle) - around) * (1 + 0.1 * Math.log(radius / 1.5));
      if (response > best) {
        best = response;
        its = new Place(at[0] * ink.block(), at[1] * ink.block(), response, radius * ink.block());
      }
    }
    return its;
  }

  /** Towards where the ink about a place lies (mean shift), by samples on four circles. */
  private double[] shifted(double[] at, double radius) {
    double sum = 0;
    double sx = 0;
    double sy = 0;
    for (int ring = 1; ring <= 4; ring++) {
      double r = ring * 0.3 * radius;
      for (int i = 0; i < 8; i++) {
        double angle = (i + 0.5 * (ring % 2)) * Math.PI / 4;
        double dx = r * Math.cos(angle);
        double dy = r * Math.sin(angle);
        double d = ring * ink.at((int) Math.floor(at[0] + dx), (int) Math.floor(at[1] + dy));
        sum += d;
        sx += d * dx;
        sy += d * dy;
      }
    }
    return sum > 0 ? new double[] {at[0] + sx / sum, at[1] + sy / sum} : at;
  }

  /** The ink at eight places of a circle, the least first. */
  private double[] eighths(double[] at, double radius) {
    double[] all = new double[8];
    for (int i = 0; i < 8; i++) {
      double angle = i * Math.PI / 4;
      all[i] =
          ink.about(
              (int) Math.floor(at[0] + radius * Math.cos(angle)),
              (int) Math.floor(at[1] + radius * Math.sin(angle)));
    }
    Arrays.sort(all);
    return all;
  }
}
