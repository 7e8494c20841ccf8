package zebrawood.tape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Burns on a card that is seen from above, each by the outline at half of its darkness. */
final class Burns {
  private static final int SIDE = CardView.SIDE;
  private static final double STEP = CardView.STEP_MM;
  private static final double LEAST_MM = 0.85;
  private static final double MOST_MM = 9;
  private static final double FURTHEST_MM = 14.3;
  private static final int MOST_TRIED = 40;

  /** Soot lies about a burn, and no other burn so near it. */
  private static final double SOOT_MM = 0.6;

  private static final int TURNS = 90;
  private static final double OVAL = 1.2;

  /** Of its diameter, and beside it: how far an outline may lie off the shape it is called by. */
  private static final double LIKE = 0.01;

  private static final double LEAST_RMS_MM = 0.012;

  /** Over the root of two pi: how far grain moves an edge that blur has made slanting. */
  private static final double EDGE = 2.5;

  private static final double PIXEL_MM = 0.03;

  private static final double CLIPPED_FROM = 0.08;

  /** Of an ellipse's distance: a cut circle with more to choose must be so much nearer. */
  private static final double CUT_BETTER = 0.6;

  private Burns() {}

  enum Shape {
    ROUND,
    OVAL,
    CLIPPED,
    IRREGULAR
  }

  /**
   * One of them, in mm from the target's middle, x to the right and y up.
   *
   * @param towardsDeg from its middle to what is missing, and {@code share} of it; not a number
   *     where nothing is
   * @param hidden the share of its rim that lies on print
   */
  record Burn(
      double x,
      double y,
      double diameter,
      double greatest,
      double least,
      double darkness,
      Shape shape,
      double towardsDeg,
      double share,
      double hidden) {}

  static List<Burn> of(CardView view) {
    double floor = Math.max(0.05, 4 * view.noise());
    boolean[] done = new boolean[SIDE * SIDE];
    List<int[]> peaks = new ArrayList<>();
    for (int y = 2; y < SIDE - 2; y += 3) {
      for (int x = 2; x < SIDE - 2; x += 3) {
        if (view.at(x, y) > floor) {
          peaks.add(new int[] {x, y});
        }
      }
    }
    peaks.sort(Comparator.comparingDouble(p -> -around(view, p[0], p[1])));
    List<Burn> burns = new ArrayList<>();
    int tried = 0;
    for (int[] peak : peaks) {
      if (done[peak[1] * SIDE + peak[0]]) {
        continue;
      }
      if (tried++ == MOST_TRIED) {
        break;
      }
      double level = around(view, peak[0], peak[1]);
      if (level < 2 * floor && level < 0.09) {
        break;
      }
      outline(view, peak, level, done)
          .flatMap(piece -> burn(view, piece, fifth(view, piece) / 2))
          .ifPresent(burns::add);
    }
    return burns.stream().filter(b -> enough(b)).toList();
  }

  /** As pale as it may be for its size. */
  private static boolean enough(Burn b) {
    return b.darkness >= (b.diameter >= 1.9 ? 0.09 : 0.18);
  }

  private static double around(CardView view, int x, int y) {
    double sum = 0;
    for (int v = -2; v <= 2; v++) {
      for (int u = -2; u <= 2; u++) {
        sum += view.at(x + u, y + v);
      }
    }
    return sum / 25;
  }

  /** The piece about a peak at half of what a fifth of it exceeds, told again until it stays. */
  private static Optional<boolean[]> outline(
      CardView view, int[] peak, double level, boolean[] done) {
    double half = 0.45 * level;
    boolean[] piece = piece(view, peak, half);
    for (int round = 0; round < 4; round++) {
      fillHoles(piece);
      double fifth = fifth(view, piece);
      if (Math.abs(fifth / 2 - half) < 0.01 * half) {
        break;
      }
      half = fifth / 2;
      piece = piece(view, peak, half);
    }
    fillHoles(piece);
    int n = 0;
    boolean edge = false;
    boolean known = false;
    for (int i = 0; i < piece.length; i++) {
      if (piece[i]) {
        n++;
        int x = i % SIDE;
        int y = i / SIDE;
        edge |= x == 0 || y == 0 || x == SIDE - 1 || y == SIDE - 1;
        known |= done[i];
      }
    }
    double widest = 2 * Math.sqrt(n / Math.PI) * STEP;
    if (widest < MOST_MM) {
      grow(piece, done, (int) Math.round(SOOT_MM / STEP));
    } else {
      for (int i = 0; i < piece.length; i++) {
        done[i] |= piece[i];
      }
    }
    done[peak[1] * SIDE + peak[0]] = true;
    double diameter = 2 * Math.sqrt(n / Math.PI) * STEP;
    return edge || known || diameter < LEAST_MM || diameter > MOST_MM
        ? Optional.empty()
        : Optional.of(piece);
  }

  /** Marks what lies within so many steps of a piece, along rows and columns. */
  private static void grow(boolean[] piece, boolean[] done, int by) {
    for (int i = 0; i < piece.length; i++) {
      if (!piece[i]) {
        continue;
      }
      int x = i % SIDE;
      int y = i / SIDE;
      boolean rim = !piece[Math.max(0, i - 1)] || !piece[Math.min(piece.length - 1, i + 1)];
      done[i] = true;
      if (rim || !piece[Math.max(0, i - SIDE)] || !piece[Math.min(piece.length - 1, i + SIDE)]) {
        for (int v = Math.max(0, y - by); v <= Math.min(SIDE - 1, y + by); v++) {
          for (int u = Math.max(0, x - by); u <= Math.min(SIDE - 1, x + by); u++) {
            done[v * SIDE + u] = true;
          }
        }
      }
    }
  }

  private static double fifth(CardView view, boolean[] piece) {
    double[] all = new double[SIDE * SIDE];
    int n = 0;
    for (int i = 0; i < piece.length; i++) {
      if (piece[i]) {
        all[n++] = view.at(i % SIDE, i / SIDE);
      }
    }
    Arrays.sort(all, 0, n);
    return n == 0 ? 0 : all[(int) (0.8 * (n - 1))];
  }

  private static boolean[] piece(CardView view, int[] peak, double level) {
    boolean[] in = new boolean[SIDE * SIDE];
    int[] stack = new int[SIDE * SIDE];
    int top = 0;
    int start = peak[1] * SIDE + peak[0];
    in[start] = true;
    stack[top++] = start;
    while (top > 0) {
      int at = stack[--top];
      int x = at % SIDE;
      int y = at / SIDE;
      for (int way = 0; way < 4; way++) {
        int u = x + (way == 0 ? 1 : way == 1 ? -1 : 0);
        int v = y + (way == 2 ? 1 : way == 3 ? -1 : 0);
        if (u >= 0 && v >= 0 && u < SIDE && v < SIDE) {
          int next = v * SIDE + u;
          if (!in[next] && view.at(u, v) > level) {
            in[next] = true;
            stack[top++] = next;
          }
        }
      }
    }
    return in;
  }

  /** What no way leads out of belongs to the burn: burnt through, whatever shows behind. */
  private static void fillHoles(boolean[] piece) {
    boolean[] outside = new boolean[piece.length];
    int[] stack = new int[piece.length];
    int top = 0;
    for (int i = 0; i < SIDE; i++) {
      for (int at : new int[] {i, (SIDE - 1) * SIDE + i, i * SIDE, i * SIDE + SIDE - 1}) {
        if (!piece[at] && !outside[at]) {
          outside[at] = true;
          stack[top++] = at;
        }
      }
    }
    while (top > 0) {
      int at = stack[--top];
      int x = at % SIDE;
      int y = at / SIDE;
      int[] next = {
        x > 0 ? at - 1 : -1,
        x < SIDE - 1 ? at + 1 : -1,
        y > 0 ? at - SIDE : -1,
        y < SIDE - 1 ? at + SIDE : -1
      };
      for (int n : next) {
        if (n >= 0 && !piece[n] && !outside[n]) {
          outside[n] = true;
          stack[top++] = n;
        }
      }
    }
    for (int i = 0; i < piece.length; i++) {
      piece[i] |= !outside[i];
    }
  }

  /**
   * @param level of darkness that the outline follows
   */
  private static Optional<Burn> burn(CardView view, boolean[] piece, double level) {
    double n = 0;
    double sx = 0;
    double sy = 0;
    int hidden = 0;
    int rims = 0;
    List<double[]> rim = new ArrayList<>();
    List<double[]> seen = new ArrayList<>();
    int[] beside = {1, -1, SIDE, -SIDE};
    for (int i = 0; i < piece.length; i++) {
      if (!piece[i]) {
        continue;
      }
      n++;
      sx += x(i);
      sy += y(i);
      for (int step : beside) {
        int next = i + step;
        if (piece[next]) {
          continue;
        }
        double inside = view.at(i % SIDE, i / SIDE);
        double outside = view.at(next % SIDE, next / SIDE);
        double part =
            inside > outside ? Math.clamp((inside - level) / (inside - outside), 0, 1) : 0.5;
        double[] at = {x(i) + part * (x(next) - x(i)), y(i) + part * (y(next) - y(i))};
        rims++;
        rim.add(at);
        if (view.printed(i % SIDE, i / SIDE) || view.printed(next % SIDE, next / SIDE)) {
          hidden++;
        } else {
          seen.add(at);
        }
      }
    }
    double mx = sx / n;
    double my = sy / n;
    double area = n * STEP * STEP;
    double greatest = 0;
    double least = Double.MAX_VALUE;
    for (int turn = 0; turn < TURNS; turn++) {
      double c = Math.cos(Math.PI * turn / TURNS);
      double s = Math.sin(Math.PI * turn / TURNS);
      double low = Double.MAX_VALUE;
      double high = -Double.MAX_VALUE;
      for (double[] p : rim) {
        double at = p[0] * c + p[1] * s;
        low = Math.min(low, at);
        high = Math.max(high, at);
      }
      greatest = Math.max(greatest, high - low);
      least = Math.min(least, high - low);
    }
    if (Math.hypot(mx, my) > FURTHEST_MM || least < 0.5 || greatest > 3 * least && least < 1.2) {
      return Optional.empty();
    }
    seen.sort(Comparator.comparingDouble(p -> Math.atan2(p[1] - my, p[0] - mx)));
    return Optional.of(
        shaped(
            new Outline(seen),
            view.blurMm(),
            view.noise(),
            new Burn(
                mx,
                my,
                2 * Math.sqrt(area / Math.PI),
                greatest,
                least,
                fifth(view, piece),
                Shape.IRREGULAR,
                Double.NaN,
                Double.NaN,
                (double) hidden / rims)));
  }

  private static double x(int at) {
    return at % SIDE * STEP - CardView.REACH_MM;
  }

  private static double y(int at) {
    return CardView.REACH_MM - at / SIDE * STEP;
  }

  /**
   * By which shape the rim follows; where the print hides some of it, the shape says where it lies.
   */
  private static Burn shaped(Outline rim, double blurMm, double noise, Burn bare) {
    Optional<Outline.Ellipse> ellipse = rim.ellipse();
    if (ellipse.isEmpty()) {
      return bare;
    }
    Outline.Ellipse e = ellipse.get();
    double jitter = EDGE * (blurMm + PIXEL_MM) * noise / Math.max(0.05, bare.darkness);
    double usual = LEAST_RMS_MM + LIKE * bare.diameter + 0.05 * blurMm + jitter;
    Optional<Outline.CutCircle> cut =
        e.rms() > 0.4 * usual ? rim.cutCircle(blurMm) : Optional.empty();
    if (cut.isPresent()
        && cut.get().rms() < CUT_BETTER * e.rms()
        && cut.get().rms() < 1.3 * usual
        && cut.get().share() > CLIPPED_FROM
        && cut.get().arc() > 0.4
        && 2 * cut.get().radius() < 1.4 * bare.greatest) {
      Outline.CutCircle c = cut.get();
      return new Burn(
          c.x(),
          c.y(),
          2 * c.radius(),
          bare.greatest,
          bare.least,
          bare.darkness,
          Shape.CLIPPED,
          Math.toDegrees(c.towards()),
          c.share(),
          bare.hidden);
    }
    if (e.rms() > usual) {
      return bare;
    }
    Shape shape = e.greatest() / e.least() > OVAL ? Shape.OVAL : Shape.ROUND;
    return new Burn(
        bare.hidden > 0 ? e.x() : bare.x,
        bare.hidden > 0 ? e.y() : bare.y,
        bare.hidden > 0 ? e.diameter() : bare.diameter,
        e.greatest(),
        e.least(),
        bare.darkness,
        shape,
        Double.NaN,
        Double.NaN,
        bare.hidden);
  }
}
