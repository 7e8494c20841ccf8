package zebrawood.feed;

import java.util.ArrayList;
import java.util.List;

/**
 * Joints where nothing is burnt, each as far from the last as one section allows. From farther on
 * everything is reached that is reached from nearer, so no other choice has fewer joints, or fewer
 * of them across what is burnt.
 */
final class Joints {
  private static final double SURE = 2;
  private static final double ROUNDING = 1e-9;

  private Joints() {}

  static List<Joint> of(FeedReadings r, double scale, double jointErrorMm) {
    List<Joint> joints = new ArrayList<>();
    if (r.free().isEmpty()) {
      return joints;
    }
    List<Band> bands = r.free().get().bands();
    double margin = SURE * jointErrorMm;
    double last = 0;
    int next = 0;
    while (r.pieceMm() - last > r.windowMm() + ROUNDING) {
      double reach = last + r.stepMm();
      double best = Double.NaN;
      for (int i = next; i < bands.size() && bands.get(i).fromMm() + margin <= reach; i++) {
        double place = Math.min(reach, bands.get(i).toMm() - margin);
        if (place >= bands.get(i).fromMm() + margin && place > last + ROUNDING) {
          best = place;
          next = i;
        }
      }
      boolean free = !Double.isNaN(best);
      double place = free ? best : reach;
      joints.add(new Joint(place, (place - last) / scale, free));
      last = place;
    }
    return joints;
  }
}
