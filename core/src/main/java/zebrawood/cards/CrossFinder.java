package zebrawood.cards;

import java.util.Optional;
import zebrawood.marks.MarkCentre;
import zebrawood.marks.MarkCentre.Centre;
import zebrawood.marks.MarkKind;
import zebrawood.measure.Picture;
import zebrawood.measure.PlaneMap;
import zebrawood.measure.Projective;
import zebrawood.measure.SeenFromAbove;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * The four crosses of a card, each to a fraction of a pixel: looked for about where they were
 * pressed by what a cross is, four arms each darker than the stock on both sides of it, then
 * centred ({@link MarkCentre}) in the card as seen from straight above.
 */
final class CrossFinder {
  /** A cross has so many pixels where it is looked for, at most. */
  private static final double CROSS_PX = 48;

  private static final double FINE_CROSS_PX = 140;
  private static final double TURN_DEG = 2.5;
  private static final int TURNS = 7;
  private static final double[] ALONG = {0.25, 0.4, 0.55, 0.7, 0.82, 0.92};

  /** Of the cross: the stock beside an arm. */
  private static final double[] BESIDE = {0.11, 0.17};

  /** Of the stock's light there: less is grain. */
  private static final double LEAST_CONTRAST = 0.035;

  /** Of an arm: places between two arms. */
  private static final double QUARTER = 0.5;

  private static final double MIDDLE_WINDOW = 1.3;
  private static final int ROUNDS = 2;

  private static final String[] CORNERS = {
    "lower-left", "lower-right", "upper-right", "upper-left"
  };

  private final CardScanReadings r;
  private final Picture picture;
  private final double[][] mm = new double[CardScanReadings.CROSSES][];

  private CrossFinder(CardScanReadings r, Picture picture) {
    this.r = r;
    this.picture = picture;
    for (int i = 0; i < mm.length; i++) {
      mm[i] = new double[] {r.crossesMm().get(i).get(0), r.crossesMm().get(i).get(1)};
    }
  }

  /**
   * From the card to the picture.
   *
   * @throws UnusableReading naming the cross that is not found
   */
  static CardMap map(CardScanReadings r, Picture picture) {
    return new CrossFinder(r, picture).found();
  }

  private CardMap found() {
    double[][] px = new double[mm.length][];
    for (int i = 0; i < mm.length; i++) {
      px[i] = new double[] {r.crossesPx().get(i).get(0), r.crossesPx().get(i).get(1)};
      if (px[i][0] > picture.width() || px[i][1] > picture.height()) {
        throw UnusableReading.of(
            "crossesPx[" + i + "]",
            Message.of("cards.found.outside", picture.width(), picture.height()),
            Message.of("cards.accepts.inside"));
      }
    }
    CardMap map = new CardMap(mm, px);
    double[][] rough = new double[mm.length][];
    for (int i = 0; i < mm.length; i++) {
      rough[i] = rough(map, i);
    }
    for (int round = 0; round < ROUNDS; round++) {
      map = new CardMap(mm, rough);
      for (int i = 0; i < mm.length; i++) {
        rough[i] = fine(map, i);
      }
    }
    return new CardMap(mm, rough);
  }

  /** A piece of the card about a cross, upright, in float pixels. */
  private record Piece(float[] light, int size) {
    double at(double x, double y) {
      int u = Math.clamp(Math.round(x - 0.5), 0, size - 1);
      int v = Math.clamp(Math.round(y - 0.5), 0, size - 1);
      return light[v * size + u];
    }
  }

  private SeenFromAbove piece(CardMap map, int i, double pxPerMm, int size) {
    return new SeenFromAbove(
        picture,
        (x, y) ->
            map.px(mm[i][0] + (x - size / 2.0) / pxPerMm, mm[i][1] - (y - size / 2.0) / pxPerMm),
        size,
        size);
  }

  private double[] rough(CardMap map, int i) {
    double cross = r.crossSizeMm();
    double there = map.pxPerMm(mm[i][0], mm[i][1]);
    double pxPerMm = Math.min(there, CROSS_PX / cross);
    double reach = CardScanReadings.PRESSED_TO_PX * Math.sqrt(2) / there + 0.1 * cross;
    int size = 2 * (int) Math.ceil((reach + 0.75 * cross) * pxPerMm) + 2;
    SeenFromAbove seen = piece(map, i, pxPerMm, size);
    float[] light = new float[size * size];
    for (int y = 0; y < size; y++) {
      for (int x = 0; x < size; x++) {
        light[y * size + x] = (float) seen.light(x, y);
      }
    }
    Piece piece = new Piece(light, size);
    double best = 0;
    double[] at = null;
    double half = cross / 2 * pxPerMm;
    int search = (int) Math.ceil(reach * pxPerMm);
    for (int dy = -search; dy <= search; dy++) {
      for (int dx = -search; dx <= search; dx++) {
        double x = size / 2.0 + dx;
        double y = size / 2.0 + dy;
        if (!dark(piece, x, y, half, Math.max(best, LEAST_CONTRAST))) {
          continue;
        }
        double across = bar(piece, x, y, half, 0, best);
        double answer = across > best ? Math.min(across, bar(piece, x, y, half, 1, best)) : 0;
        if (answer > best) {
          best = answer;
          at = new double[] {x, y};
        }
      }
    }
    if (at == null || best < LEAST_CONTRAST) {
      throw notFound(i);
    }
    return map.px(
        mm[i][0] + (at[0] - size / 2.0) / pxPerMm, mm[i][1] - (at[1] - size / 2.0) / pxPerMm);
  }

  private static UnusableReading notFound(int i) {
    return UnusableReading.of(
        "crossesPx[" + i + "]",
        Message.of("cards.found.no-cross", Message.of("cards.corner." + CORNERS[i])),
        Message.of("cards.accepts.cross"));
  }

  /** Whether the middle is darker than the stock between the arms: most places are not. */
  private static boolean dark(Piece piece, double x, double y, double half, double contrast) {
    double a = QUARTER * half;
    double between =
        (piece.at(x - a, y - a)
                + piece.at(x + a, y - a)
                + piece.at(x - a, y + a)
                + piece.at(x + a, y + a))
            / 4;
    return piece.at(x, y) < between * (1 - contrast / 2);
  }

  /**
   * Of one bar, by how much its weaker arm is darker than both of its sides, of their light; turned
   * as it answers most, since four places pressed roughly turn and bend the card.
   */
  private static double bar(
      Piece piece, double x, double y, double half, int quarter, double best) {
    double most = 0;
    for (int turn = -TURNS; turn <= TURNS; turn++) {
      double angle = quarter * Math.PI / 2 + Math.toRadians(turn * TURN_DEG);
      double cos = Math.cos(angle) * half;
      double sin = Math.sin(angle) * half;
      double one = arm(piece, x, y, cos, sin);
      if (one > Math.max(best, most)) {
        most = Math.max(most, Math.min(one, arm(piece, x, y, -cos, -sin)));
      }
    }
    return most;
  }

  private static double arm(Piece piece, double x, double y, double ax, double ay) {
    double sum = 0;
    for (double along : ALONG) {
      double px = x + along * ax;
      double py = y + along * ay;
      double line = piece.at(px, py);
      double one = 0;
      double other = 0;
      for (double beside : BESIDE) {
        double b = 2 * beside;
        one += piece.at(px - b * ay, py + b * ax) / BESIDE.length;
        other += piece.at(px + b * ay, py - b * ax) / BESIDE.length;
      }
      sum += 1 - line / Math.max(8, Math.min(one, other));
    }
    return sum / ALONG.length;
  }

  private double[] fine(CardMap map, int i) {
    double cross = r.crossSizeMm();
    double pxPerMm = Math.min(map.pxPerMm(mm[i][0], mm[i][1]), FINE_CROSS_PX / cross);
    double pitchPx = MIDDLE_WINDOW * cross * pxPerMm;
    int size = 2 * (int) Math.ceil(0.5 * pitchPx + 4);
    SeenFromAbove seen = piece(map, i, pxPerMm, size);
    Optional<Centre> centre = MarkCentre.of(seen, MarkKind.CROSS, size / 2.0, size / 2.0, pitchPx);
    if (centre.isEmpty()) {
      throw notFound(i);
    }
    return map.px(
        mm[i][0] + (centre.get().x() - size / 2.0) / pxPerMm,
        mm[i][1] - (centre.get().y() - size / 2.0) / pxPerMm);
  }

  /** Between the card in mm and its picture. */
  static final class CardMap {
    private static final double STEP_MM = 0.01;
    private final PlaneMap toPx;
    private final PlaneMap toMm;

    CardMap(double[][] mm, double[][] px) {
      toPx = Projective.through(mm, px);
      toMm = Projective.through(px, mm);
    }

    double[] px(double xMm, double yMm) {
      return toPx.at(xMm, yMm);
    }

    double[] mm(double xPx, double yPx) {
      return toMm.at(xPx, yPx);
    }

    /** In the direction of x, as {@code y}: how the picture's place changes for a mm. */
    double[] along(double xMm, double yMm, boolean x) {
      double[] here = px(xMm, yMm);
      double[] there = px(xMm + (x ? STEP_MM : 0), yMm + (x ? 0 : STEP_MM));
      return new double[] {(there[0] - here[0]) / STEP_MM, (there[1] - here[1]) / STEP_MM};
    }

    /** Root of the scale of areas. */
    double pxPerMm(double xMm, double yMm) {
      double[] a = along(xMm, yMm, true);
      double[] b = along(xMm, yMm, false);
      return Math.sqrt(Math.abs(a[0] * b[1] - a[1] * b[0]));
    }
  }
}
