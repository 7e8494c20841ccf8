package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.machine.Machine;

/**
 * How long the beam's way is from mirror to mirror and to each mark, from what is typed of it and
 * from the machine's travel. The last mirror rides on the gantry's left end, the one before it
 * stands at one end of the gantry's travel.
 */
final class BeamLegs {
  /** At the ends of the travel the head is stopped this far inside. */
  private static final double INSIDE_MM = 20;

  private final Machine machine;
  private final int mirrors;
  private final List<NumberEntry> entries;
  private final ObjectProperty<MirrorOneAt> mirrorOneAt;

  /** Keeps an entry under a name. */
  interface Keeper {
    NumberEntry keep(String name, NumberEntry entry);
  }

  BeamLegs(Machine machine, Keeper keeper, ObjectProperty<MirrorOneAt> mirrorOneAt) {
    this.machine = machine;
    this.mirrorOneAt = mirrorOneAt;
    mirrors = machine.mirrorTrain().mirrors();
    entries = entries(keeper);
  }

  private List<NumberEntry> entries(Keeper keeper) {
    if (mirrors == 1) {
      return List.of(
          leg(keeper, "toHigh1", "Mirror 1 to the high mark", 60),
          leg(keeper, "toLow1", "Mirror 1 to the low mark", 160));
    }
    String last = String.valueOf(mirrors);
    String before = String.valueOf(mirrors - 1);
    List<NumberEntry> both =
        List.of(
            leg(keeper, "toGantry", "Mirror " + before + " to " + last + ", nearest", 150),
            leg(keeper, "toHead", "Mirror " + last + " to head, nearest", 120));
    return mirrors == 2
        ? both
        : Stream.concat(
                Stream.of(
                    leg(keeper, "toCard", "Mirror 1 to the card", 100),
                    leg(keeper, "between", "Mirror 1 to 2", 600)),
                both.stream())
            .toList();
  }

  private static NumberEntry leg(Keeper keeper, String name, String words, double usualMm) {
    NumberEntry entry = keeper.keep(name, new NumberEntry(words, "mm", 1, 10_000));
    entry.set(usualMm);
    return entry;
  }

  List<NumberEntry> entries() {
    return entries;
  }

  ObjectProperty<MirrorOneAt> mirrorOneAt() {
    return mirrorOneAt;
  }

  /** The beam's path from each mirror before it to a mark, from mirror 1 on. */
  double[] pathsMm(MarkPlace place) {
    double first = entries.getFirst().number();
    double second = entries.get(1).number();
    return switch (place) {
      case HIGH, CARD -> new double[] {first};
      case LOW, MIRROR_2 -> new double[] {second};
      default -> alongTheGantry(place, mirrors == 3 ? second : 0);
    };
  }

  private double[] alongTheGantry(MarkPlace place, double betweenMm) {
    boolean near = place.rear() == (mirrorOneAt.get() == MirrorOneAt.REAR);
    double gantry =
        entries.get(entries.size() - 2).number()
            + (near ? INSIDE_MM : machine.areaYMm() - INSIDE_MM);
    double carriage =
        place.head()
            ? entries.getLast().number()
                + (place.left() ? INSIDE_MM : machine.areaXMm() - INSIDE_MM)
            : 0;
    List<Double> from = new ArrayList<>();
    if (mirrors == 3) {
      from.add(betweenMm + gantry + carriage);
    }
    from.add(gantry + carriage);
    if (place.head()) {
      from.add(carriage);
    }
    return from.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
