package zebrawood.measure;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/** What a finding says of the machine. */
public enum Verdict {
  /** In order; nothing to do. */
  WITHIN,
  /** Something to do, and it is known what. */
  ADJUST,
  /** What was read cannot be put right by the adjustment at hand, or it can hurt. */
  STOP,
  /** The readings cannot decide; the advice says which would. */
  MEASURE_AGAIN;

  /** From nothing to do to what can hurt. */
  private static final List<Verdict> WORSE = List.of(WITHIN, MEASURE_AGAIN, ADJUST, STOP);

  /** 0 for nothing to do, more for what is worse. */
  public int rank() {
    return WORSE.indexOf(this);
  }

  /** The worst of at least one. */
  public static Verdict worst(Collection<Verdict> all) {
    return all.stream().max(Comparator.comparingInt(Verdict::rank)).orElseThrow();
  }
}
