package zebrawood.jobfile;

import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;

/**
 * How often the same line is burnt, of a sample of all lines that grows no larger than a limit: a
 * line is in the sample by a number made of its ends, so that each time it comes it is, or never.
 */
final class Repeats {
  private static final int MOST = 20_000;

  /** Ends closer than this are the same, in mm. */
  private static final double SAME = 0.01;

  private final Map<Long, Integer> counted = new HashMap<>();
  private long every = 1;

  void add(double x0, double y0, double x1, double y1) {
    boolean turned = x0 > x1 || x0 == x1 && y0 > y1;
    long key = turned ? key(x1, y1, x0, y0) : key(x0, y0, x1, y1);
    if (Long.remainderUnsigned(key, every) != 0) {
      return;
    }
    counted.merge(key, 1, Integer::sum);
    while (counted.size() > MOST) {
      every *= 2;
      counted.keySet().removeIf(k -> Long.remainderUnsigned(k, every) != 0);
    }
  }

  private static long key(double x0, double y0, double x1, double y1) {
    long key = 0;
    for (double v : new double[] {x0, y0, x1, y1}) {
      // The mixing of SplitMix64 (Steele, Lea and Flood, OOPSLA 2014).
      key += Math.round(v / SAME) + 0x9e3779b97f4a7c15L;
      key = (key ^ (key >>> 30)) * 0xbf58476d1ce4e5b9L;
      key = (key ^ (key >>> 27)) * 0x94d049bb133111ebL;
      key ^= key >>> 31;
    }
    return key;
  }

  /** What most lines have; 1 where nothing is burnt. */
  int usual() {
    Map<Integer, Integer> times = new TreeMap<>();
    counted.values().forEach(n -> times.merge(n, 1, Integer::sum));
    return times.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .map(Map.Entry::getKey)
        .orElse(1);
  }
}
