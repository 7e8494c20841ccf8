package zebrawood.marks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import zebrawood.marks.MarkShapes.Place;

/**
 * Which of the places are the marks of a grid. A net grows from a strong place and two neighbours:
 * where the next mark must be is told by all that are known near it, the strongest joins first, and
 * what answers far weaker than the net's own never joins. Of all nets the one counts whose marks
 * answer most, not the one that has most of them.
 */
final class Lattice {
  /** How far off its prediction a mark may be, in pitches; the first step is a guess. */
  private static final double OFF = 0.13;

  private static final double LEAST_STEP = 0.78;
  private static final double MOST_STEP = 1.25;

  /** Of a turn by 12 degrees, and a little for what is skewed. */
  private static final double MOST_ASIDE = 0.25;

  private static final int SEEDS = 60;

  /** Below this part of the net's own response a place is no mark of it. */
  private static final double OF_PEERS = 0.3;

  /** What is known so many cells away tells where a mark must be. */
  private static final int NEAR_CELLS = 3;

  private final List<Place> places;
  private final double pitch;
  private final int most;
  private final Map<Long, List<Integer>> near = new HashMap<>();

  /** Column to the right, row upwards, from wherever it began. */
  record Cell(int column, int row) {}

  /** A net and what all its marks answer. */
  record Net(Map<Cell, Place> marks, double score) {}

  private Lattice(List<Place> places, double pitch, int most) {
    this.places = places;
    this.pitch = pitch;
    this.most = most;
    for (int i = 0; i < places.size(); i++) {
      near.computeIfAbsent(key(places.get(i).x(), places.get(i).y()), k -> new ArrayList<>())
          .add(i);
    }
  }

  /**
   * @param strongestFirst the places
   * @param wanted how many marks there are
   */
  static Net of(List<Place> strongestFirst, double pitchPx, int wanted) {
    Lattice lattice = new Lattice(strongestFirst, pitchPx, 4 * wanted + 40);
    Net best = new Net(Map.of(), 0);
    Set<Place> seen = new HashSet<>();
    int tried = 0;
    for (int i = 0; i < strongestFirst.size() && tried < SEEDS; i++) {
      if (seen.contains(strongestFirst.get(i))) {
        continue;
      }
      tried++;
      for (int[] pair : lattice.neighbours(i)) {
        Net net = lattice.grow(i, pair[0], pair[1]);
        if (net.score > best.score) {
          best = net;
        }
      }
      if (best.marks.containsValue(strongestFirst.get(i))) {
        seen.addAll(best.marks.values());
      }
    }
    return best;
  }

  private long key(double x, double y) {
    return ((long) Math.floor(x / pitch) << 32) ^ ((long) Math.floor(y / pitch) & 0xffffffffL);
  }

  private List<Integer> within(double x, double y, double reach) {
    List<Integer> found = new ArrayList<>();
    int cells = (int) Math.ceil(reach / pitch);
    for (int dy = -cells; dy <= cells; dy++) {
      for (int dx = -cells; dx <= cells; dx++) {
        for (int i : near.getOrDefault(key(x + dx * pitch, y + dy * pitch), List.of())) {
          if (Math.hypot(places.get(i).x() - x, places.get(i).y() - y) <= reach) {
            found.add(i);
          }
        }
      }
    }
    return found;
  }

  /** Pairs of a neighbour to the right or left, and one above or below, the strongest first. */
  private List<int[]> neighbours(int from) {
    List<Integer> sides = new ArrayList<>();
    List<Integer> ups = new ArrayList<>();
    Place at = places.get(from);
    for (int i : within(at.x(), at.y(), MOST_STEP * pitch * 1.05)) {
      double dx = Math.abs(places.get(i).x() - at.x());
      double dy = Math.abs(places.get(i).y() - at.y());
      double far = Math.hypot(dx, dy);
      if (far < LEAST_STEP * pitch
          || far > MOST_STEP * pitch
          || places.get(i).response() < OF_PEERS * at.response()) {
        continue;
      }
      if (dy < MOST_ASIDE * dx) {
        sides.add(i);
      } else if (dx < MOST_ASIDE * dy) {
        ups.add(i);
      }
    }
    Comparator<Integer> strongest = Comparator.comparingDouble(i -> -places.get(i).response());
    sides.sort(strongest);
    ups.sort(strongest);
    List<int[]> pairs = new ArrayList<>();
    for (int side : sides.subList(0, Math.min(3, sides.size()))) {
      for (int up : ups.subList(0, Math.min(3, ups.size()))) {
        if (square(at, places.get(side), places.get(up))) {
          pairs.add(new int[] {side, up});
        }
      }
    }
    return pairs;
  }

  /** Whether two steps are about at right angles and about alike. */
  private static boolean square(Place at, Place side, Place up) {
    double ax = side.x() - at.x();
    double ay = side.y() - at.y();
    double bx = up.x() - at.x();
    double by = up.y() - at.y();
    double cosine = (ax * bx + ay * by) / (Math.hypot(ax, ay) * Math.hypot(bx, by));
    return Math.abs(cosine) < 0.17;
  }

  /** A mark that may join: where it is, and how strongly it answers. */
  private record Offer(Cell cell, int place, double response) {}

  private Net grow(int start, int side, int up) {
    Map<Cell, Integer> net = new HashMap<>();
    Set<Integer> used = new HashSet<>(List.of(start, side, up));
    Place at = places.get(start);
    net.put(new Cell(0, 0), start);
    net.put(new Cell(places.get(side).x() > at.x() ? 1 : -1, 0), side);
    net.put(new Cell(0, places.get(up).y() < at.y() ? 1 : -1), up);
    double sum = at.response() + places.get(side).response() + places.get(up).response();
    PriorityQueue<Offer> offers =
        new PriorityQueue<>(Comparator.comparingDouble((Offer o) -> -o.response));
    for (Cell cell : List.copyOf(net.keySet())) {
      offer(cell, net, used, sum / net.size(), offers);
    }
    while (!offers.isEmpty() && net.size() < most) {
      Offer next = offers.poll();
      if (net.containsKey(next.cell) || used.contains(next.place)) {
        continue;
      }
      if (next.response < OF_PEERS * sum / net.size()) {
        continue;
      }
      net.put(next.cell, next.place);
      used.add(next.place);
      sum += next.response;
      offer(next.cell, net, used, sum / net.size(), offers);
    }
    Map<Cell, Place> marks = new HashMap<>();
    net.forEach((cell, place) -> marks.put(cell, places.get(place)));
    return new Net(marks, sum);
  }

  /** What may join beside a mark, over gaps of one. */
  private void offer(
      Cell from,
      Map<Cell, Integer> net,
      Set<Integer> used,
      double peers,
      PriorityQueue<Offer> offers) {
    for (int direction = 0; direction < 4; direction++) {
      int dc = direction == 0 ? 1 : direction == 1 ? -1 : 0;
      int dr = direction == 2 ? 1 : direction == 3 ? -1 : 0;
      for (int far = 1; far <= 2; far++) {
        Cell cell = new Cell(from.column + far * dc, from.row + far * dr);
        if (net.containsKey(cell)) {
          break;
        }
        double[] at = predicted(cell, net);
        if (at == null) {
          continue;
        }
        int best = -1;
        for (int i : within(at[0], at[1], OFF * pitch)) {
          if (!used.contains(i)
              && places.get(i).response() >= OF_PEERS * peers
              && (best < 0 || places.get(i).response() > places.get(best).response())) {
            best = i;
          }
        }
        if (best >= 0) {
          offers.add(new Offer(cell, best, places.get(best).response()));
          break;
        }
      }
    }
  }

  /** Where a mark must be: by the affine map through what is known near it. */
  private double[] predicted(Cell cell, Map<Cell, Integer> net) {
    double n = 0;
    double su = 0;
    double sv = 0;
    double suu = 0;
    double svv = 0;
    double suv = 0;
    double sx = 0;
    double sy = 0;
    double sux = 0;
    double svx = 0;
    double suy = 0;
    double svy = 0;
    for (int dr = -NEAR_CELLS; dr <= NEAR_CELLS; dr++) {
      for (int dc = -NEAR_CELLS; dc <= NEAR_CELLS; dc++) {
        Integer place = net.get(new Cell(cell.column + dc, cell.row + dr));
        if (place == null) {
          continue;
        }
        double w = 1.0 / (dc * dc + dr * dr);
        double x = places.get(place).x();
        double y = places.get(place).y();
        n += w;
        su += w * dc;
        sv += w * dr;
        suu += w * dc * dc;
        svv += w * dr * dr;
        suv += w * dc * dr;
        sx += w * x;
        sy += w * y;
        sux += w * dc * x;
        svx += w * dr * x;
        suy += w * dc * y;
        svy += w * dr * y;
      }
    }
    // The value at this cell of x = a + b u + c v, by its normal equations about the middle.
    double mu = su / n;
    double mv = sv / n;
    double uu = suu / n - mu * mu;
    double vv = svv / n - mv * mv;
    double uv = suv / n - mu * mv;
    double det = uu * vv - uv * uv;
    if (!(det > 1e-9)) {
      return null;
    }
    return new double[] {
      at(sx / n, sux / n - mu * sx / n, svx / n - mv * sx / n, mu, mv, uu, vv, uv, det),
      at(sy / n, suy / n - mu * sy / n, svy / n - mv * sy / n, mu, mv, uu, vv, uv, det)
    };
  }

  private static double at(
      double mean,
      double cu,
      double cv,
      double mu,
      double mv,
      double uu,
      double vv,
      double uv,
      double det) {
    double b = (cu * vv - cv * uv) / det;
    double c = (cv * uu - cu * uv) / det;
    return mean - b * mu - c * mv;
  }
}
