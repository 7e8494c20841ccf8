package zebrawood.controller;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Collects what is to be written, for an order that is safe at every step: first what keeps the
 * beam with the motion; then what is switched off, soft limits before hard ones before homing; then
 * power words, the least before the top; then geometry, homing, hard limits; soft limits last.
 */
final class Writes {
  /** In the order in which they are sent. */
  enum Rank {
    FIRST,
    SOFT_OFF,
    HARD_OFF,
    HOMING_OFF,
    LEAST,
    SCALE,
    GEOMETRY,
    HOMING,
    GUARD,
    LAST
  }

  private record Ranked(Rank rank, Write write) {}

  private final List<Ranked> all = new ArrayList<>();

  void add(Rank rank, Write write) {
    all.add(new Ranked(rank, write));
  }

  List<Write> inOrder() {
    return all.stream().sorted(Comparator.comparing(Ranked::rank)).map(Ranked::write).toList();
  }
}
