package zebrawood.machine;

import java.util.List;
import zebrawood.measure.Accepts;

/**
 * The steering mirrors between tube and head, in the order the beam meets them, not counting the
 * one on the head that folds the beam down. The last one rides on the gantry.
 *
 * @param incidenceDeg angle between the beam and each mirror's normal; 45 folds it by a right angle
 */
public record Train(List<Double> incidenceDeg) {
  /** Two mirrors, folding by right angles in the horizontal plane. */
  public static final Train USUAL = new Train(List.of(45.0, 45.0));

  /** More have never been met; each one more asks for marks of its own. */
  public static final int MOST = 3;

  public Train {
    incidenceDeg = List.copyOf(incidenceDeg);
    var accepts = new Accepts();
    if (incidenceDeg.isEmpty() || incidenceDeg.size() > MOST) {
      accepts.complain("incidenceDeg", incidenceDeg.size() + " mirrors", "1 to " + MOST);
    }
    incidenceDeg.forEach(deg -> accepts.between("incidenceDeg", deg, 10, 80));
    accepts.orThrow();
  }

  /** A single mirror sits on the head beside the tube that it carries, and folds the beam down. */
  public boolean foldsDown() {
    return mirrors() == 1;
  }

  public int mirrors() {
    return incidenceDeg.size();
  }
}
