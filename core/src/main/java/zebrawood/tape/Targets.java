package zebrawood.tape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import zebrawood.marks.RoundMarks;
import zebrawood.marks.RoundMarks.RoundMark;
import zebrawood.measure.Picture;
import zebrawood.measure.ReducedPicture;

/**
 * Printed targets in a photograph: a ring with three discs about where a card's corners must be,
 * and small discs between them at the places that only the print has.
 */
final class Targets {
  private static final int WORK_PX = 1800;

  /** Of a ring's ellipse by its moments, over its outer radius: root of 1.25. */
  private static final double RING_ELLIPSE = Math.sqrt(1.25);

  private static final int MOST_NEAR = 44;
  private static final int LEAST_SMALL = 6;
  private static final int LEAST_MARKS = 9;
  private static final int TURNS = 24;

  /** Of the area of most: the disc that is the number has 2.25 times theirs. */
  private static final double WIDER = 1.55;

  /** Bowed and folded paper leaves the marks of its print within a tenth of this. */
  private static final double MOST_OFF_PRINT_MM = 0.2;

  /** Of what must be white about a mark. */
  private static final double COVERED = 0.08;

  /** Of the paper's light: less ink is no mark. */
  private static final double DARK = 0.38;

  /** Blur leaves a mark no darker. */
  private static final double PALE = 0.12;

  private static final double[][] WHITE = {
    {-13, 16},
    {-1, 16},
    {12, 16},
    {16, 13},
    {16, 1},
    {16, -12},
    {13, -16},
    {1, -16},
    {-12, -16},
    {-16, -13},
    {-16, -1},
    {-16, 12}
  };

  private Targets() {}

  /** One target as it was found. */
  record Target(
      CardMap map, OptionalInt number, double tiltDeg, double residualRmsMm, double blurMm) {
    /** Whether a place of the picture is on its card. */
    boolean has(double[] px) {
      double[] middle = map.px(0, 0);
      return Math.hypot(px[0] - middle[0], px[1] - middle[1]) < 30 * map.pxPerMm();
    }
  }

  /**
   * All that were found, and what looked like one.
   *
   * @param mirrored how many were printed, or seen, mirrored
   * @param cutOff whether a corner of one lies outside of the picture
   * @param poor one whose ring cannot be told from a disc
   */
  record Found(List<Target> targets, int mirrored, boolean cutOff, Optional<Poor> poor) {
    private boolean nothing() {
      return targets.isEmpty() && mirrored == 0 && !cutOff && poor.isEmpty();
    }
  }

  /** A target that is too small or too blurred for its ring to be one. */
  record Poor(double pxPerMm, double blurMm) {}

  static Found find(Picture picture, double[] stretch) {
    int block = Math.max(1, Math.max(picture.width(), picture.height()) / WORK_PX);
    Found best = at(picture, block, stretch);
    while (best.targets.isEmpty() && block > 1) {
      block = Math.max(1, block / 2);
      Found finer = at(picture, block, stretch);
      best = finer.nothing() ? best : finer;
    }
    return best;
  }

  private static Found at(Picture picture, int block, double[] stretch) {
    Picture reduced = ReducedPicture.of(picture, block);
    List<RoundMark> pieces = RoundMarks.of(reduced, DARK);
    List<RoundMark> discs = pieces.stream().filter(RoundMark::disc).toList();
    List<Target> targets = new ArrayList<>();
    int mirrored = 0;
    for (RoundMark ring : pieces.stream().filter(RoundMark::ring).toList()) {
      Optional<double[][]> corners = corners(picture, ring, discs, block, stretch, false);
      if (corners.isPresent()) {
        target(picture, corners.get(), stretch)
            .filter(t -> targets.stream().noneMatch(other -> same(t, other)))
            .ifPresent(targets::add);
      } else if (corners(picture, ring, discs, block, stretch, true).isPresent()) {
        mirrored++;
      }
    }
    Found found = lacking(picture, pieces, block, targets, mirrored);
    if (!found.nothing()) {
      return found;
    }
    List<RoundMark> pale = marks(RoundMarks.of(reduced, PALE));
    return new Found(targets, mirrored, false, poor(picture, sides(picture, pale, block)));
  }

  /** With what else has sides of a target and is none of these. */
  private static Found lacking(
      Picture picture, List<RoundMark> pieces, int block, List<Target> targets, int mirrored) {
    List<RoundMark> marks =
        marks(pieces).stream()
            .filter(b -> targets.stream().noneMatch(t -> t.has(px(b, block))))
            .toList();
    List<Sides.Side> sides = mirrored > 0 ? List.of() : sides(picture, marks, block);
    boolean cutOff = sides.stream().anyMatch(s -> out(picture, s, false) || out(picture, s, true));
    return new Found(
        targets,
        mirrored,
        cutOff,
        cutOff || !targets.isEmpty() ? Optional.empty() : poor(picture, sides));
  }

  private static List<RoundMark> marks(List<RoundMark> pieces) {
    return pieces.stream().filter(b -> b.disc() || b.ring()).toList();
  }

  private static List<Sides.Side> sides(Picture picture, List<RoundMark> marks, int block) {
    return Sides.of(marks, block, (x, y) -> Light.at(picture, x, y));
  }

  /** Whether the corner behind an end of a side lies outside of the picture. */
  private static boolean out(Picture picture, Sides.Side side, boolean last) {
    double[] at = side.behind(last);
    double margin =
        -0.03 * Math.hypot(side.to()[0] - side.from()[0], side.to()[1] - side.from()[1]);
    return at[0] < -margin
        || at[1] < -margin
        || at[0] > picture.width() + margin
        || at[1] > picture.height() + margin;
  }

  /** Two sides that meet: the fourth corner may be what cannot be told. */
  private static Optional<Poor> poor(Picture picture, List<Sides.Side> sides) {
    for (Sides.Side one : sides) {
      for (Sides.Side two : sides) {
        if (Arrays.equals(one.to(), two.from()) && one.turns(two)) {
          double[] fourth = {
            one.from()[0] + two.to()[0] - one.to()[0], one.from()[1] + two.to()[1] - one.to()[1]
          };
          // The corner of the two sides is one of the discs: so is the one across from the ring.
          double[][] px = {fourth, one.from(), one.to(), two.to()};
          CardMap map = CardMap.flat(TapeCard.CORNERS, px);
          return Optional.of(new Poor(map.pxPerMm(), blur(picture, map, TapeCard.CORNERS)));
        }
      }
    }
    return Optional.empty();
  }

  private static boolean same(Target a, Target b) {
    double[] p = a.map.px(0, 0);
    double[] q = b.map.px(0, 0);
    return Math.hypot(p[0] - q[0], p[1] - q[1]) < 5 * a.map.pxPerMm();
  }

  /** The four corners in pixels, from the ring clockwise; empty where there are none. */
  private static Optional<double[][]> corners(
      Picture picture,
      RoundMark ring,
      List<RoundMark> discs,
      int block,
      double[] stretch,
      boolean mirrored) {
    double r = ring.radius() / RING_ELLIPSE;
    double disc = r * TapeCard.DISC_MM / TapeCard.RING_MM;
    List<RoundMark> near =
        discs.stream()
            .filter(d -> d.radius() > 0.58 * disc && d.radius() < 2 * disc)
            .filter(d -> apart(ring, d) > 7 * r && apart(ring, d) < 36 * r)
            .sorted(Comparator.comparingDouble(d -> apart(ring, d)))
            .limit(MOST_NEAR)
            .toList();
    double best = LEAST_SMALL - 0.5;
    double[][] found = null;
    for (RoundMark right : near) {
      for (RoundMark below : near) {
        double ax = right.x() - ring.x();
        double ay = right.y() - ring.y();
        double bx = below.x() - ring.x();
        double by = below.y() - ring.y();
        double cross = ax * by - ay * bx;
        double sizes = Math.hypot(ax, ay) * Math.hypot(bx, by);
        // Seen from the front the way from the ring's right neighbour to its lower one is
        // clockwise.
        if (cross < 0.6 * sizes || Math.hypot(ax, ay) > 26 * r || Math.hypot(bx, by) > 26 * r) {
          continue;
        }
        for (RoundMark far : near) {
          double off = Math.hypot(far.x() - ring.x() - ax - bx, far.y() - ring.y() - ay - by);
          if (far == right || far == below || off > 9 * r) {
            continue;
          }
          double[][] px = {px(ring, block), px(right, block), px(far, block), px(below, block)};
          double fits = fits(picture, CardMap.flat(corner(stretch), px), mirrored);
          if (fits > best) {
            best = fits;
            found = px;
          }
        }
      }
    }
    return Optional.ofNullable(found);
  }

  private static double apart(RoundMark a, RoundMark b) {
    return Math.hypot(a.x() - b.x(), a.y() - b.y());
  }

  private static double[] px(RoundMark blob, int block) {
    return new double[] {blob.x() * block, blob.y() * block};
  }

  private static double[][] corner(double[] stretch) {
    return stretched(TapeCard.CORNERS, stretch);
  }

  private static double[][] stretched(double[][] places, double[] stretch) {
    return Arrays.stream(places)
        .map(p -> new double[] {p[0] * stretch[0], p[1] * stretch[1]})
        .toArray(double[][]::new);
  }

  /** How many of the small discs are where they must be; nothing where the card is not white. */
  private static double fits(Picture picture, CardMap map, boolean mirrored) {
    double[] white = new double[WHITE.length];
    for (int i = 0; i < white.length; i++) {
      white[i] = light(picture, map, WHITE[i][0], WHITE[i][1]);
    }
    Arrays.sort(white);
    double paper = white[white.length / 2];
    if (white[2] < 0.35 * paper || paper < 0.02) {
      return 0;
    }
    double fits = 0;
    for (double[] s : TapeCard.SMALL) {
      double x = mirrored ? -s[1] : s[0];
      double y = mirrored ? -s[0] : s[1];
      double share = light(picture, map, x, y) / paper;
      fits += share < 0.6 ? 1 - share / 10 : 0;
    }
    return fits;
  }

  private static double light(Picture picture, CardMap map, double x, double y) {
    double[] px = map.px(x, y);
    return px[0] < 0 || px[1] < 0 || px[0] > picture.width() || px[1] > picture.height()
        ? 0
        : Light.at(picture, px[0], px[1]);
  }

  /**
   * The middle of a mark by what is dark about where it must be.
   *
   * @param clear whether it is white all around: else a burn or something else covers it
   */
  private record Middle(double[] mm, double[] px, double areaMm2, boolean clear) {}

  private static Optional<Middle> middle(
      Picture picture, CardMap map, double[] print, double radius) {
    double reach = radius + 0.9;
    double step = 0.08;
    int n = (int) Math.ceil(reach / step);
    double[] all = new double[(2 * n + 1) * (2 * n + 1)];
    int k = 0;
    for (int v = -n; v <= n; v++) {
      for (int u = -n; u <= n; u++) {
        all[k++] = light(picture, map, print[0] + u * step, print[1] + v * step);
      }
    }
    double[] sorted = all.clone();
    Arrays.sort(sorted);
    double white = sorted[(int) (0.9 * sorted.length)];
    double black = sorted[(int) (0.05 * sorted.length)];
    if (black > 0.7 * white) {
      return Optional.empty();
    }
    double sum = 0;
    double sx = 0;
    double sy = 0;
    int around = 0;
    int covered = 0;
    k = 0;
    for (int v = -n; v <= n; v++) {
      for (int u = -n; u <= n; u++) {
        double dark = Math.clamp((white - all[k++]) / (white - black), 0, 1);
        double far = Math.hypot(u, v) * step;
        // About half of the way: a shadow's edge or a fold is far from either end.
        double d = far > reach ? 0 : Math.clamp(2 * dark - 0.5, 0, 1);
        if (far > radius + 0.2 && far < reach) {
          around++;
          covered += dark > 0.5 ? 1 : 0;
        }
        sum += d;
        sx += d * u;
        sy += d * v;
      }
    }
    double x = print[0] + step * sx / sum;
    double y = print[1] + step * sy / sum;
    return Optional.of(
        new Middle(print, map.px(x, y), sum * step * step, covered < COVERED * around));
  }

  private static Optional<Target> target(Picture picture, double[][] corners, double[] stretch) {
    double[][] mm = corner(stretch);
    double[][] small = stretched(TapeCard.SMALL, stretch);
    CardMap map = CardMap.flat(mm, corners);
    List<Middle> used = List.of();
    for (int round = 0; round < 4; round++) {
      List<Middle> middles = new ArrayList<>();
      for (int i = 0; i < 4; i++) {
        middle(picture, map, mm[i], i == 0 ? TapeCard.RING_MM : TapeCard.DISC_MM)
            .ifPresent(middles::add);
      }
      for (double[] s : small) {
        middle(picture, map, s, TapeCard.NUMBER_MM)
            .filter(m -> m.areaMm2 < 10)
            .ifPresent(middles::add);
      }
      List<Middle> clear = middles.stream().filter(Middle::clear).toList();
      if (middles.size() < LEAST_MARKS) {
        return Optional.empty();
      }
      used = kept(map, clear.size() < LEAST_MARKS ? middles : clear);
      double[][] places = used.stream().map(Middle::mm).toArray(double[][]::new);
      double[][] px = used.stream().map(Middle::px).toArray(double[][]::new);
      map = round < 1 ? CardMap.flat(places, px) : CardMap.bowed(places, px, 5);
    }
    double squares = 0;
    for (Middle m : used) {
      double[] left = map.leftMm(m.mm, m.px);
      squares += left[0] * left[0] + left[1] * left[1];
    }
    double residualRmsMm = Math.sqrt(squares / used.size());
    return residualRmsMm > MOST_OFF_PRINT_MM
        ? Optional.empty()
        : Optional.of(
            new Target(
                map,
                number(picture, map, small),
                map.tiltDeg(picture.width(), picture.height()),
                residualRmsMm,
                blur(picture, map, mm)));
  }

  /** Without those that a burn covers: they lie off where all others have them. */
  private static List<Middle> kept(CardMap map, List<Middle> all) {
    double[] off = new double[all.size()];
    for (int i = 0; i < off.length; i++) {
      double[] left = map.leftMm(all.get(i).mm, all.get(i).px);
      off[i] = Math.hypot(left[0], left[1]);
    }
    double[] sorted = off.clone();
    Arrays.sort(sorted);
    double most = Math.max(0.2, 4 * sorted[sorted.length / 2]);
    List<Middle> kept = new ArrayList<>();
    for (int i = 0; i < off.length; i++) {
      if (off[i] <= most) {
        kept.add(all.get(i));
      }
    }
    return kept;
  }

  /**
   * The small disc that is half as wide again; where one alone is covered and no other is wide,
   * that one. Empty where that leaves more than one.
   */
  private static OptionalInt number(Picture picture, CardMap map, double[][] small) {
    List<Optional<Middle>> discs =
        Arrays.stream(small)
            .map(s -> middle(picture, map, s, TapeCard.NUMBER_MM).filter(Middle::clear))
            .toList();
    double[] areas =
        discs.stream().flatMap(Optional::stream).mapToDouble(Middle::areaMm2).sorted().toArray();
    if (areas.length < LEAST_SMALL - 1) {
      return OptionalInt.empty();
    }
    double usual = areas[(areas.length - 1) / 2];
    int[] wide =
        IntStream.range(0, small.length)
            .filter(i -> discs.get(i).filter(d -> d.areaMm2 > WIDER * usual).isPresent())
            .toArray();
    int[] covered = IntStream.range(0, small.length).filter(i -> discs.get(i).isEmpty()).toArray();
    int[] only = wide.length > 0 ? wide : covered;
    return only.length == 1 ? OptionalInt.of(only[0] + 1) : OptionalInt.empty();
  }

  /** Of the edges of the three discs. */
  private static double blur(Picture picture, CardMap map, double[][] corners) {
    double[] each = new double[3];
    int n = (int) (EdgeBlur.REACH_MM / EdgeBlur.STEP_MM);
    for (int i = 1; i < 4; i++) {
      double[] profile = new double[n];
      for (int k = 0; k < n; k++) {
        double far = k * EdgeBlur.STEP_MM;
        for (int turn = 0; turn < TURNS; turn++) {
          double angle = 2 * Math.PI * turn / TURNS;
          double x = corners[i][0] + far * Math.cos(angle);
          double y = corners[i][1] + far * Math.sin(angle);
          profile[k] += light(picture, map, x, y) / TURNS;
        }
      }
      each[i - 1] = EdgeBlur.ofMm(profile);
    }
    Arrays.sort(each);
    return each[1];
  }
}
