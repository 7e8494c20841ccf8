package zebrawood.fault;

import java.util.Set;

/**
 * Parts that not every machine has: without one, what can be wrong with it is no cause, and what
 * tries it is no test.
 */
public enum Fitted {
  MIRRORS(
      Set.of(Cause.DIRTY_MIRROR, Cause.MIRROR_OUT),
      Set.of(CauseTest.LOOK_AT_MIRRORS, CauseTest.TAPE_NEAR_FAR)),
  COOLANT(Set.of(Cause.WARM_COOLANT), Set.of(CauseTest.COOLANT_NOW)),
  METER(Set.of(), Set.of(CauseTest.METER_AT_TEST_JOB)),
  HONEYCOMB(
      Set.of(Cause.HONEYCOMB_DIRTY, Cause.SMOKE_TRAPPED),
      Set.of(CauseTest.HONEYCOMB_LOOK, CauseTest.RAISE_AND_LISTEN)),
  GANTRY(Set.of(Cause.PLAY), Set.of(CauseTest.PLAY_BY_HAND));

  private final Set<Cause> causes;
  private final Set<CauseTest> tests;

  Fitted(Set<Cause> causes, Set<CauseTest> tests) {
    this.causes = causes;
    this.tests = tests;
  }

  public Set<Cause> causes() {
    return causes;
  }

  public Set<CauseTest> tests() {
    return tests;
  }
}
