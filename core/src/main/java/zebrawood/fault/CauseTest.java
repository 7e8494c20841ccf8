package zebrawood.fault;

import java.util.List;

/** What can be tried; minutes and outcomes stand in {@link FaultTable}. */
public enum CauseTest {
  LOOK_AT_LENS,
  LOOK_AT_MIRRORS,
  GAUGE_AT_CENTRE,
  GAUGE_FOUR_CORNERS,
  STOCK_ON_STRAIGHT_EDGE,
  TAPE_NEAR_FAR,
  TAPE_UNDER_NOZZLE,
  METER_AT_TEST_JOB,
  SETTINGS_AGAINST_RECORD,
  COOLANT_NOW,
  AIR_AT_NOZZLE,
  PLAY_BY_HAND,
  TUG_THE_LENS,
  BURN_ON_FRESH_STOCK,
  HONEYCOMB_LOOK,
  POWER_WORDS,
  RAISE_AND_LISTEN,
  WAIT_WARM,
  WASH_STOCK;

  public int minutes() {
    return FaultTable.minutes(this);
  }

  /** Whether the beam fires for it. */
  public boolean fires() {
    return switch (this) {
      case TAPE_NEAR_FAR,
          TAPE_UNDER_NOZZLE,
          METER_AT_TEST_JOB,
          BURN_ON_FRESH_STOCK,
          RAISE_AND_LISTEN,
          WAIT_WARM,
          WASH_STOCK ->
          true;
      default -> false;
    };
  }

  /** The good one first. */
  public List<Outcome> outcomes() {
    return FaultTable.outcomes(this);
  }
}
