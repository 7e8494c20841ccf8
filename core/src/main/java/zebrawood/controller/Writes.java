package zebrawood.controller;

import java.util.ArrayList;
import java.util.List;

/**
 * Collects what is to be written, for an order that is safe at every step: first what keeps the
 * beam with the motion; then what is switched off, soft limits before hard ones before homing; then
 * power words, the least before the top; then reports, geometry, homing, hard limits; soft limits
 * last.
 */
final class Writes {
  private static final int FIRST = 0;
  private static final int OFF = 1;
  private static final int LEAST = 2;
  private static final int SCALE = 3;
  private static final int REPORT = 4;
  private static final int GEOMETRY = 5;
  private static final int HOMING = 6;
  private static final int GUARD = 7;
  private static final int LAST = 8;
  private static final List<Integer> OFF_ORDER =
      List.of(Settings.SOFT_LIMITS, Settings.HARD_LIMITS, Settings.HOMING);

  private record Write(int rank, int setting, double value) {}

  private final List<Write> all = new ArrayList<>();

  void first(int setting, double value) {
    all.add(new Write(FIRST, setting, value));
  }

  void off(int setting) {
    all.add(new Write(OFF, setting, 0));
  }

  void least(int setting, double value) {
    all.add(new Write(LEAST, setting, value));
  }

  void scale(int setting, double value) {
    all.add(new Write(SCALE, setting, value));
  }

  void report(int setting, double value) {
    all.add(new Write(REPORT, setting, value));
  }

  void geometry(int setting, double value) {
    all.add(new Write(GEOMETRY, setting, value));
  }

  void homing(int setting, double value) {
    all.add(new Write(HOMING, setting, value));
  }

  void guard(int setting, double value) {
    all.add(new Write(GUARD, setting, value));
  }

  void last(int setting, double value) {
    all.add(new Write(LAST, setting, value));
  }

  List<String> inOrder() {
    return all.stream()
        .sorted(
            java.util.Comparator.comparingInt(Write::rank)
                .thenComparingInt(
                    w -> w.rank() == OFF ? OFF_ORDER.indexOf(w.setting()) : w.setting()))
        .map(w -> Settings.line(w.setting(), w.value()))
        .toList();
  }
}
