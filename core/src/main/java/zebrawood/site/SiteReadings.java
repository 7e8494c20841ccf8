package zebrawood.site;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.machine.Build;
import zebrawood.measure.Accepts;

/**
 * One visit to the site: what was read, and what was proven by hand.
 *
 * @param earthOhm resistance from the frame to the plug's earth
 * @param earthLimitOhm the most that the local code or the data sheet allows
 * @param proofs what was looked at, each once
 */
public record SiteReadings(
    OptionalDouble earthOhm,
    double earthLimitOhm,
    Optional<Circuit.Readings> circuit,
    Optional<Duct.Readings> duct,
    Optional<Eyewear.Readings> eyewear,
    List<Proof> proofs) {

  /** How a proof went. */
  public enum Answer {
    PASSED,
    FAILED,
    NOT_FITTED
  }

  /** What is proven by hand and eye, in the order of the work. */
  public enum Item {
    EMERGENCY_STOP("the emergency stop cuts everything, tried before anything is powered", true),
    STRAPS("shipping straps, carriage locks and films are off; the packing is kept", false),
    LID("opening the lid stops the laser", true),
    KEY("without its key it does not fire", true),
    DOOR_AND_SIGN("the door shuts, the sign is out, and nobody comes in unasked", false),
    EYEWEAR("eyewear for each person present", false),
    EXTINGUISHER("an extinguisher within reach; never left unattended", false);

    private final String words;
    private final boolean mayBeMissing;

    Item(String words, boolean mayBeMissing) {
      this.words = words;
      this.mayBeMissing = mayBeMissing;
    }

    public String words() {
      return words;
    }

    /** Whether there are machines without it; then door, sign and eyewear stand for it. */
    public boolean mayBeMissing() {
      return mayBeMissing;
    }

    /** Whether machines of this build are asked for it. */
    public boolean appliesTo(Build build) {
      boolean open = build == Build.GANTRY_WITH_HEAD_MODULE || build == Build.GALVO;
      return this != DOOR_AND_SIGN || open;
    }
  }

  public record Proof(Item item, Answer answer) {}

  public SiteReadings {
    proofs = List.copyOf(proofs);
    var accepts = new Accepts().positive("earthLimitOhm", earthLimitOhm, 10);
    earthOhm.ifPresent(r -> accepts.between("earthOhm", r, 0, 10_000_000));
    if (proofs.stream().map(Proof::item).distinct().count() < proofs.size()) {
      accepts.complain("proofs", "one item twice", "each item once");
    }
    for (Proof proof : proofs) {
      if (proof.answer == Answer.NOT_FITTED && !proof.item.mayBeMissing()) {
        accepts.complain(
            "proofs",
            proof.item.words() + ": not fitted",
            "passed or failed, it can be had anywhere");
      }
    }
    accepts.orThrow();
  }
}
