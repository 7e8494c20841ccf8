package zebrawood.site;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Station;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;

/** The cooling station as the ledger knows it. */
public final class CoolingStation {
  /** A diode module and a small fibre source are cooled by air. */
  private static final Set<SourceKind> BY_WATER =
      Set.of(SourceKind.CO2_GLASS_TUBE, SourceKind.CO2_RF_TUBE, SourceKind.UV);

  private CoolingStation() {}

  public static final Station STATION =
      new Station(
          "cooling",
          "Cooling",
          "Is the coolant cool enough, not too cold for the air, and the loop proven?",
          CoolingStation::cooledByWater,
          Set.of(),
          Map.of(
              EventKind.MOVED, Doubt.READ_AGAIN,
              EventKind.SOURCE_REPLACED, Doubt.READ_AGAIN),
          90,
          20);

  private static boolean cooledByWater(Machine machine) {
    return BY_WATER.contains(machine.source().kind())
        || machine.build() == Build.FIBRE_CUTTING_HEAD;
  }
}
