package zebrawood.marks;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.marks.DarkPlaces.Place;

/**
 * Which of the dark places are the marks of a grid: from one place to its neighbours by the step
 * that led there, over gaps of one mark, as far as it goes; the largest such net counts.
 */
final class Lattice {
  /** How far off a step may be, in pitches. */
  private static final double OFF = 0.22;

  private static final double LEAST_STEP = 0.72;
  private static final double MOST_STEP = 1.32;
  private static final double MOST_TURN = 0.25;
  private static final int STARTS = 500;

  private final List<Place> places;
  private final double pitch;
  private final Map<Long, List<Integer>> near = new HashMap<>();

  /** Column to the right, row upwards, from wherever it began. */
  record Cell(int column, int row) {}

  private record Step(double x, double y) {
    Step blend(double dx, double dy) {
      return new Step(0.5 * (x + dx), 0.5 * (y + dy));
    }
  }

  private record Node(int place, Cell cell, Step right, Step up) {}

  private Lattice(List<Place> places, double pitch) {
    this.places = places;
    this.pitch = pitch;
    for (int i = 0; i < places.size(); i++) {
      near.computeIfAbsent(key(places.get(i).x(), places.get(i).y()), k -> new ArrayList<>())
          .add(i);
    }
  }

  /** The largest net of places, each with its column and row. */
  static Map<Cell, Place> of(List<Place> places, double pitchPx) {
    Lattice lattice = new Lattice(places, pitchPx);
    double mx = places.stream().mapToDouble(Place::x).average().orElse(0);
    double my = places.stream().mapToDouble(Place::y).average().orElse(0);
    List<Integer> starts = new ArrayList<>();
    for (int i = 0; i < places.size(); i++) {
      starts.add(i);
    }
    starts.sort(
        Comparator.comparingDouble(
            i -> Math.hypot(places.get(i).x() - mx, places.get(i).y() - my)));
    Map<Cell, Integer> best = Map.of();
    Set<Integer> seen = new HashSet<>();
    int tried = 0;
    for (int start : starts) {
      if (tried == STARTS || best.size() > places.size() / 2) {
        break;
      }
      if (seen.contains(start)) {
        continue;
      }
      tried++;
      Map<Cell, Integer> net = lattice.grow(start);
      seen.addAll(net.values());
      if (net.size() > best.size()) {
        best = net;
      }
    }
    Map<Cell, Place> found = new HashMap<>();
    best.forEach((cell, place) -> found.put(cell, places.get(place)));
    return found;
  }

  private long key(double x, double y) {
    return ((long) Math.floor(x / pitch) << 32) ^ ((long) Math.floor(y / pitch) & 0xffffffffL);
  }

  private Optional<Integer> nearest(double x, double y, double within) {
    int best = -1;
    double least = within;
    for (int dy = -1; dy <= 1; dy++) {
      for (int dx = -1; dx <= 1; dx++) {
        for (int i : near.getOrDefault(key(x + dx * pitch, y + dy * pitch), List.of())) {
          double off = Math.hypot(places.get(i).x() - x, places.get(i).y() - y);
          if (off < least) {
            least = off;
            best = i;
          }
        }
      }
    }
    return best < 0 ? Optional.empty() : Optional.of(best);
  }

  private Map<Cell, Integer> grow(int start) {
    Optional<Step> right = first(start, true);
    Optional<Step> up = first(start, false);
    Map<Cell, Integer> net = new HashMap<>();
    Set<Integer> used = new HashSet<>();
    Cell origin = new Cell(0, 0);
    net.put(origin, start);
    used.add(start);
    if (right.isEmpty() && up.isEmpty()) {
      return net;
    }
    // Where only one of them is there, the other is square to it.
    Step r = right.orElseGet(() -> new Step(-up.get().y, up.get().x));
    Step u = up.orElseGet(() -> new Step(right.get().y, -right.get().x));
    Deque<Node> open = new ArrayDeque<>();
    open.add(new Node(start, origin, r, u));
    while (!open.isEmpty()) {
      Node node = open.poll();
      for (int direction = 0; direction < 4; direction++) {
        boolean along = direction < 2;
        int sign = direction % 2 == 0 ? 1 : -1;
        Step step = along ? node.right : node.up;
        for (int far = 1; far <= 2; far++) {
          Cell cell =
              along
                  ? new Cell(node.cell.column + sign * far, node.cell.row)
                  : new Cell(node.cell.column, node.cell.row + sign * far);
          if (net.containsKey(cell)) {
            break;
          }
          Place from = places.get(node.place);
          Optional<Integer> found =
              nearest(from.x() + sign * far * step.x, from.y() + sign * far * step.y, OFF * pitch)
                  .filter(i -> !used.contains(i));
          if (found.isPresent()) {
            Place to = places.get(found.get());
            Step taken =
                step.blend(sign * (to.x() - from.x()) / far, sign * (to.y() - from.y()) / far);
            net.put(cell, found.get());
            used.add(found.get());
            open.add(
                new Node(found.get(), cell, along ? taken : node.right, along ? node.up : taken));
            break;
          }
        }
      }
    }
    return net;
  }

  /** The neighbour to the right, or above, about a pitch away. */
  private Optional<Step> first(int start, boolean right) {
    Place from = places.get(start);
    Optional<Step> best = Optional.empty();
    double least = Double.MAX_VALUE;
    for (int dy = -2; dy <= 2; dy++) {
      for (int dx = -2; dx <= 2; dx++) {
        for (int i :
            near.getOrDefault(key(from.x() + dx * pitch, from.y() + dy * pitch), List.of())) {
          double x = places.get(i).x() - from.x();
          double y = places.get(i).y() - from.y();
          double along = right ? x : -y;
          double aside = right ? y : x;
          boolean may =
              along > LEAST_STEP * pitch
                  && along < MOST_STEP * pitch
                  && Math.abs(aside) < MOST_TURN * along;
          double off = Math.hypot(along - pitch, aside);
          if (may && off < least) {
            least = off;
            best = Optional.of(new Step(x, y));
          }
        }
      }
    }
    return best;
  }
}
