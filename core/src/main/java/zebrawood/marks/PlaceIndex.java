package zebrawood.marks;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zebrawood.marks.MarkShapes.Place;

/** Places of a picture by where they are: what lies near is found without looking at all. */
public final class PlaceIndex {
  private final double cell;
  private final Map<Long, List<Place>> places = new HashMap<>();

  /**
   * @param cell about as far as is asked for at once, in pixels
   */
  PlaceIndex(double cell) {
    this.cell = cell;
  }

  public static PlaceIndex of(List<Place> all, double cell) {
    PlaceIndex index = new PlaceIndex(cell);
    all.forEach(index::add);
    return index;
  }

  void add(Place place) {
    places
        .computeIfAbsent(key(place.x() / cell, place.y() / cell), k -> new ArrayList<>())
        .add(place);
  }

  /** All within a circle. */
  public List<Place> within(double x, double y, double reach) {
    List<Place> found = new ArrayList<>();
    int cells = (int) Math.ceil(reach / cell);
    for (int dy = -cells; dy <= cells; dy++) {
      for (int dx = -cells; dx <= cells; dx++) {
        for (Place p : places.getOrDefault(key(x / cell + dx, y / cell + dy), List.of())) {
          if (Math.hypot(p.x() - x, p.y() - y) <= reach) {
            found.add(p);
          }
        }
      }
    }
    return found;
  }

  private static long key(double column, double row) {
    return ((long) Math.floor(column) << 32) ^ ((long) Math.floor(row) & 0xffffffffL);
  }
}
