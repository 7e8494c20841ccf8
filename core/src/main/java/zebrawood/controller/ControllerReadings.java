package zebrawood.controller;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A controller's settings beside what the machine and the job software are.
 *
 * @param dialect how this controller prints and names its settings
 * @param settings what it printed, or what was pasted
 * @param wiredAirAssistCode what switches the valve or pump on this machine, as the controller
 *     calls it; blank where nobody said it
 * @param head what is on it now, where heads are swapped; a laser where nobody says
 */
public record ControllerReadings(
    Dialect dialect,
    String settings,
    MachineFacts machine,
    JobSoftware jobSoftware,
    String wiredAirAssistCode,
    Policy policy,
    Optional<Head> head) {

  public ControllerReadings {
    var accepts = new Accepts();
    airCode(accepts, "wiredAirAssistCode", wiredAirAssistCode);
    accepts.orThrow();
  }

  public ControllerReadings(
      Dialect dialect,
      String settings,
      MachineFacts machine,
      JobSoftware jobSoftware,
      String wiredAirAssistCode,
      Policy policy) {
    this(dialect, settings, machine, jobSoftware, wiredAirAssistCode, policy, Optional.empty());
  }

  /** Whether the power words are a spindle's speed now. */
  public boolean spindle() {
    return head.filter(h -> h == Head.SPINDLE).isPresent();
  }

  /** What the power words drive. */
  public enum Head {
    LASER,
    SPINDLE
  }

  /**
   * What the machine is.
   *
   * @param homeCorner where its switches are; empty where it has none
   */
  public record MachineFacts(
      List<Double> travelMm, Optional<Corner> homeCorner, boolean limitSwitches, Laser laser) {
    public MachineFacts {
      travelMm = List.copyOf(travelMm);
      twoLengths("travelMm", travelMm);
    }

    public MachineFacts(
        List<Double> travelMm, Corner homeCorner, boolean limitSwitches, Laser laser) {
      this(travelMm, Optional.of(homeCorner), limitSwitches, laser);
    }
  }

  /**
   * What the job software believes.
   *
   * @param airAssistCode what it sends for air; blank where nobody said it
   * @param areaMm its work area
   * @param originCorner where its zero is
   */
  public record JobSoftware(
      double topPowerWord,
      String airAssistCode,
      Units units,
      Optional<List<Double>> areaMm,
      Optional<Corner> originCorner) {
    public JobSoftware {
      areaMm = areaMm.map(List::copyOf);
      var accepts = new Accepts().between("topPowerWord", topPowerWord, 1, 1_000_000);
      airCode(accepts, "airAssistCode", airAssistCode);
      accepts.orThrow();
      areaMm.ifPresent(area -> twoLengths("areaMm", area));
    }
  }

  /** No controller's word is longer. */
  private static final int LONGEST_AIR_CODE = 40;

  private static void airCode(Accepts accepts, String field, String code) {
    if (code.length() > LONGEST_AIR_CODE) {
      accepts.complain(
          field,
          Message.of("json.letters", code.length()),
          Message.of("json.at-most-letters", LONGEST_AIR_CODE));
    }
  }

  private static void twoLengths(String field, List<Double> values) {
    var accepts = new Accepts();
    if (values.size() != 2) {
      accepts.complain(
          field,
          Message.of("controller.accepts.numbers", values.size()),
          Message.of("controller.controller-readings.two-right-rear"));
    }
    for (int i = 0; i < values.size(); i++) {
      accepts.between(field + "[" + i + "]", values.get(i), 1, 100_000);
    }
    accepts.orThrow();
  }

  public enum Laser {
    DIODE,
    CO2,
    FIBRE,
    UV
  }

  public enum Units {
    MM,
    INCH
  }

  /** Which of the two is changed where their top power words differ. */
  public enum Policy {
    MATCH_CONTROLLER,
    MATCH_SOFTWARE
  }
}
