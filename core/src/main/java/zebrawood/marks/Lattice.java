package zebrawood.marks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  private final PlaceIndex places;
  private final double pitch;
  private final int most;

  /** Column to the right, row upwards, from wherever it began. */
  record Cell(int column, int row) {}

  /** A net and what all its marks answer. */
  record Net(Map<Cell, Place> marks, double score) {}

  private Lattice(PlaceIndex places, double pitch, int most) {
    this.places = places;
    this.pitch = pitch;
    this.most = most;
  }

  /**
   * @param strongestFirst the places
   * @param wanted how many marks there are
   */
  static Net of(List<Place> strongestFirst, double pitchPx, int wanted) {
    Lattice lattice =
        new Lattice(PlaceIndex.of(strongestFirst, pitchPx / 2), pitchPx, 4 * wanted + 40);
    Net best = new Net(Map.of(), 0);
    Set<Place> seen = new HashSet<>();
    int tried = 0;
    for (Place seed : strongestFirst) {
      if (seen.contains(seed)) {
        continue;
      }
      if (tried++ == SEEDS) {
        break;
      }
      for (Corner corner : lattice.corners(seed)) {
        Net net = lattice.grow(corner);
        if (net.score > best.score) {
          best = net;
        }
      }
      if (best.marks.containsValue(seed)) {
        seen.addAll(best.marks.values());
      }
    }
    return best;
  }

  /** A place with a neighbour to a side of it, and one above or below. */
  private record Corner(Place at, Place side, Place up) {}

  /** The strongest first. */
  private List<Corner> corners(Place at) {
    List<Place> sides = new ArrayList<>();
    List<Place> ups = new ArrayList<>();
    for (Place p : places.within(at.x(), at.y(), MOST_STEP * pitch)) {
      double dx = Math.abs(p.x() - at.x());
      double dy = Math.abs(p.y() - at.y());
      if (Math.hypot(dx, dy) < LEAST_STEP * pitch || p.response() < OF_PEERS * at.response()) {
        continue;
      }
      if (dy < MOST_ASIDE * dx) {
        sides.add(p);
      } else if (dx < MOST_ASIDE * dy) {
        ups.add(p);
      }
    }
    Comparator<Place> strongest = Comparator.comparingDouble(p -> -p.response());
    sides.sort(strongest);
    ups.sort(strongest);
    List<Corner> corners = new ArrayList<>();
    for (Place side : sides.subList(0, Math.min(3, sides.size()))) {
      for (Place up : ups.subList(0, Math.min(3, ups.size()))) {
        if (square(at, side, up)) {
          corners.add(new Corner(at, side, up));
        }
      }
    }
    return corners;
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

  /** A mark that may join. */
  private record Offer(Cell cell, Place place) {}

  private Net grow(Corner corner) {
    Map<Cell, Place> net = new HashMap<>();
    Set<Place> used = new HashSet<>(List.of(corner.at, corner.side, corner.up));
    net.put(new Cell(0, 0), corner.at);
    net.put(new Cell(corner.side.x() > corner.at.x() ? 1 : -1, 0), corner.side);
    net.put(new Cell(0, corner.up.y() < corner.at.y() ? 1 : -1), corner.up);
    double sum = used.stream().mapToDouble(Place::response).sum();
    PriorityQueue<Offer> offers =
        new PriorityQueue<>(Comparator.comparingDouble((Offer o) -> -o.place.response()));
    for (Cell cell : List.copyOf(net.keySet())) {
      offer(cell, net, used, sum / net.size(), offers);
    }
    while (!offers.isEmpty() && net.size() < most) {
      Offer next = offers.poll();
      if (net.containsKey(next.cell)
          || used.contains(next.place)
          || next.place.response() < OF_PEERS * sum / net.size()) {
        continue;
      }
      net.put(next.cell, next.place);
      used.add(next.place);
      sum += next.place.response();
      offer(next.cell, net, used, sum / net.size(), offers);
    }
    return new Net(net, sum);
  }

  /** What may join beside a mark, over gaps of one. */
  private void offer(
      Cell from, Map<Cell, Place> net, Set<Place> used, double peers, PriorityQueue<Offer> offers) {
    for (int direction = 0; direction < 4; direction++) {
      int dc = direction == 0 ? 1 : direction == 1 ? -1 : 0;
      int dr = direction == 2 ? 1 : direction == 3 ? -1 : 0;
      for (int far = 1; far <= 2; far++) {
        Cell cell = new Cell(from.column + far * dc, from.row + far * dr);
        if (net.containsKey(cell)) {
          break;
        }
        Optional<Place> best =
            predicted(cell, net).stream()
                .flatMap(at -> places.within(at[0], at[1], OFF * pitch).stream())
                .filter(p -> !used.contains(p) && p.response() >= OF_PEERS * peers)
                .max(Comparator.comparingDouble(Place::response));
        if (best.isPresent()) {
          offers.add(new Offer(cell, best.get()));
          break;
        }
      }
    }
  }

  /**
   * Where a mark must be: by the affine map through what is known near it; empty where that lies on
   * one line.
   */
  private Optional<double[]> predicted(Cell cell, Map<Cell, Place> net) {
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
        Place place = net.get(new Cell(cell.column + dc, cell.row + dr));
        if (place == null) {
          continue;
        }
        double w = 1.0 / (dc * dc + dr * dr);
        double x = place.x();
        double y = place.y();
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
      return Optional.empty();
    }
    return Optional.of(
        new double[] {
          at(sx / n, sux / n - mu * sx / n, svx / n - mv * sx / n, mu, mv, uu, vv, uv, det),
          at(sy / n, suy / n - mu * sy / n, svy / n - mv * sy / n, mu, mv, uu, vv, uv, det)
        });
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
