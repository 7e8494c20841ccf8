package zebrawood.machine;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * The steering mirrors between tube and head, in the order the beam meets them, not counting the
 * one on the head that folds the beam down. The last one rides on the gantry.
 *
 * @param incidenceDeg angle between the beam and each mirror's normal; 45 folds it by a right angle
 * @param lastAt where the last one rides; empty while nobody said so, then the left end counts
 * @param railAt where the one before it stands; empty while nobody said so, then the rear counts
 * @param sealed whether its maker aligned it behind covers that stay shut; empty while nobody said
 *     so
 */
public record Train(
    List<Double> incidenceDeg,
    Optional<GantryEnd> lastAt,
    Optional<TravelEnd> railAt,
    Optional<Boolean> sealed) {
  /** Which end of the gantry the last mirror rides at, seen from the front. */
  public enum GantryEnd {
    LEFT,
    RIGHT
  }

  /** Which end of the gantry's travel the mirror before it stands at. */
  public enum TravelEnd {
    REAR,
    FRONT
  }

  /** Mirrors whose places nobody told. */
  public Train(List<Double> incidenceDeg) {
    this(incidenceDeg, Optional.empty(), Optional.empty(), Optional.empty());
  }

  /** Two mirrors, folding by right angles in the horizontal plane. */
  public static final Train USUAL = new Train(List.of(45.0, 45.0));

  /** More have never been met; each one more asks for marks of its own. */
  public static final int MOST = 3;

  public Train {
    incidenceDeg = List.copyOf(incidenceDeg);
    var accepts = new Accepts();
    if (incidenceDeg.isEmpty() || incidenceDeg.size() > MOST) {
      accepts.complain(
          "incidenceDeg",
          Message.of("machine.accepts.mirrors", incidenceDeg.size()),
          Accepts.between(1, MOST));
    }
    incidenceDeg.forEach(deg -> accepts.between("incidenceDeg", deg, 10, 80));
    accepts.orThrow();
  }

  /** A single mirror sits on the head beside the tube that it carries, and folds the beam down. */
  public boolean foldsDown() {
    return mirrors() == 1;
  }

  /** Whether nobody is to turn its screws. */
  public boolean alignedByMaker() {
    return sealed.orElse(false);
  }

  public int mirrors() {
    return incidenceDeg.size();
  }
}
