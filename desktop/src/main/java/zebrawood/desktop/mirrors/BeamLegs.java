package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.machine.Machine;
import zebrawood.machine.Train;
import zebrawood.machine.Train.GantryEnd;
import zebrawood.machine.Train.TravelEnd;
import zebrawood.quantity.Quantity;

/**
 * How long the beam's way is from mirror to mirror and to each mark, from what is typed of it and
 * from the machine's travel. The last mirror rides at one end of the gantry, the one before it
 * stands at one end of the gantry's travel.
 */
final class BeamLegs {
  /** At the ends of the travel the head is stopped this far inside. */
  private static final double INSIDE_MM = 20;

  private static final double LONGEST_MM = 10_000;

  private final Machine machine;
  private final int mirrors;
  private final List<QuantityField> fields;
  private final ChoiceField<TravelEnd> railAt;
  private final ChoiceField<GantryEnd> lastAt;

  BeamLegs(Machine machine, StationForm form) {
    this.machine = machine;
    Train train = machine.mirrorTrain();
    mirrors = train.mirrors();
    fields = fields(form);
    railAt = form.choice("mirrorOneAt", TravelEnd.class, train.railAt().orElse(TravelEnd.REAR));
    lastAt = form.choice("lastAt", GantryEnd.class, train.lastAt().orElse(GantryEnd.LEFT));
  }

  private List<QuantityField> fields(StationForm form) {
    if (mirrors == 1) {
      return List.of(leg(form, "toHigh1", 60), leg(form, "toLow1", 160));
    }
    List<QuantityField> both = List.of(leg(form, "toGantry", 150), leg(form, "toHead", 120));
    return mirrors == 2
        ? both
        : Stream.concat(
                Stream.of(leg(form, "toCard", 100), leg(form, "between", 600)), both.stream())
            .toList();
  }

  private static QuantityField leg(StationForm form, String name, double usualMm) {
    QuantityField field = form.quantity(name, Quantity.LENGTH, 1, LONGEST_MM);
    field.set(usualMm);
    return field;
  }

  List<QuantityField> fields() {
    return fields;
  }

  ChoiceField<TravelEnd> railAt() {
    return railAt;
  }

  ChoiceField<GantryEnd> lastAt() {
    return lastAt;
  }

  boolean railAtRear() {
    return railAt.get() == TravelEnd.REAR;
  }

  boolean lastAtLeft() {
    return lastAt.get() == GantryEnd.LEFT;
  }

  /** The tape that tells most of a mirror's screws: the furthest the beam meets next. */
  MarkPlace furthestAfter(int mirror) {
    if (mirrors == 1) {
      return MarkPlace.LOW;
    }
    if (mirror == mirrors) {
      return lastAtLeft() ? MarkPlace.HEAD_REAR_RIGHT : MarkPlace.HEAD_REAR_LEFT;
    }
    if (mirrors == 2) {
      return railAtRear() ? MarkPlace.MIRROR_2_FRONT : MarkPlace.MIRROR_2_REAR;
    }
    if (mirror == 1) {
      return MarkPlace.MIRROR_2;
    }
    return railAtRear() ? MarkPlace.MIRROR_3_FRONT : MarkPlace.MIRROR_3_REAR;
  }

  /** Where the head is furthest from the tube. */
  MarkPlace furthest() {
    if (mirrors == 1) {
      return MarkPlace.LOW;
    }
    if (railAtRear()) {
      return lastAtLeft() ? MarkPlace.HEAD_FRONT_RIGHT : MarkPlace.HEAD_FRONT_LEFT;
    }
    return lastAtLeft() ? MarkPlace.HEAD_REAR_RIGHT : MarkPlace.HEAD_REAR_LEFT;
  }

  /** The beam's path from each mirror before it to a mark, from mirror 1 on. */
  double[] pathsMm(MarkPlace place) {
    double first = fields.getFirst().number();
    double second = fields.get(1).number();
    return switch (place) {
      case HIGH, CARD -> new double[] {first};
      case LOW, MIRROR_2 -> new double[] {second};
      default -> alongTheGantry(place, mirrors == 3 ? second : 0);
    };
  }

  private double[] alongTheGantry(MarkPlace place, double betweenMm) {
    boolean near = place.rear() == railAtRear();
    double gantry =
        fields.get(fields.size() - 2).number() + (near ? INSIDE_MM : machine.areaYMm() - INSIDE_MM);
    boolean beside = place.left() == lastAtLeft();
    double carriage =
        place.head()
            ? fields.getLast().number() + (beside ? INSIDE_MM : machine.areaXMm() - INSIDE_MM)
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
