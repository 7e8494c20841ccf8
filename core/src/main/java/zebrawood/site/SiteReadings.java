package zebrawood.site;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Accepts;
import zebrawood.station.Proof;

/**
 * One visit to the site: what was read, and what was proven by hand.
 *
 * @param divergenceMrad of the bare beam, full angle, when the data sheet has it
 * @param proofs what was looked at, each once
 */
public record SiteReadings(
    Arrival arrival,
    Feed feed,
    Breathing breathing,
    Optional<Eyewear.Readings> eyewear,
    OptionalDouble divergenceMrad,
    List<Proof<Item>> proofs) {

  /** What is proven by hand and eye, in the order of the work. */
  public enum Item {
    STRAPS,
    LOCKS,
    FILMS,
    CONNECTORS,
    CABLES,
    DUST,
    FLOOR,
    DRAUGHT,
    SPARE_FUSE,
    AIR_ON,
    AIR_OFF,
    DOOR,
    SIGN,
    EYEWEAR,
    NEVER_IN,
    EXTINGUISHER,
    ATTENDED;

    /** Whether this machine is asked for it. */
    public boolean appliesTo(Machine machine) {
      return switch (this) {
        case AIR_ON, AIR_OFF -> machine.has(Fitting.AIR_ASSIST);
        case DOOR, SIGN -> !machine.enclosed();
        case SPARE_FUSE -> machine.source().kind() != SourceKind.DIODE;
        default -> true;
      };
    }
  }

  public SiteReadings {
    proofs = List.copyOf(proofs);
    var accepts = new Accepts();
    divergenceMrad.ifPresent(d -> accepts.between("divergenceMrad", d, 0.001, 3000));
    Proof.eachOnce("proofs", proofs, accepts);
    accepts.orThrow();
  }
}
