package zebrawood.site;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Accepts;

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
    List<Proof> proofs) {

  /** What is proven by hand and eye, in the order of the work. */
  public enum Item {
    STRAPS("shipping straps, carriage locks and films are off; the packing is kept"),
    CONNECTORS("every connector is seated, no cable pinched, motors not pushed fast by hand"),
    CALM("no dust from other work, no shaking floor, no draught on the work"),
    SPARE_FUSE("a spare fuse of the right rating lies with it"),
    AIR_ON("air assist blows when it should"),
    AIR_OFF("air assist is silent when it should be"),
    DOOR_AND_SIGN("the door shuts, the sign is out, and nobody comes in unasked"),
    EYEWEAR("eyewear for each person present"),
    NEVER_IN("the list of what must never go in hangs at the machine"),
    EXTINGUISHER("an extinguisher within reach; never left unattended");

    private final String words;

    Item(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    /** Whether this machine is asked for it. */
    public boolean appliesTo(Machine machine) {
      return switch (this) {
        case AIR_ON, AIR_OFF -> machine.has(Fitting.AIR_ASSIST);
        case DOOR_AND_SIGN -> !machine.enclosed();
        case SPARE_FUSE -> machine.source().kind() != SourceKind.DIODE;
        default -> true;
      };
    }
  }

  /**
   * @param passed whether it was so
   */
  public record Proof(Item item, boolean passed) {}

  public SiteReadings {
    proofs = List.copyOf(proofs);
    var accepts = new Accepts();
    divergenceMrad.ifPresent(d -> accepts.between("divergenceMrad", d, 0.001, 3000));
    if (proofs.stream().map(Proof::item).distinct().count() < proofs.size()) {
      accepts.complain("proofs", "one item twice", "each item once");
    }
    accepts.orThrow();
  }
}
