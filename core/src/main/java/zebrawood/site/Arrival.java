package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;

/**
 * Getting it to its place, whole.
 *
 * @param fibreBendMm the tightest radius that its fibre cable lies in
 * @param fibreLeastMm the least radius that the data sheet allows
 */
public record Arrival(
    Optional<Room.Readings> room,
    Optional<WayIn.Readings> wayIn,
    Optional<Weight.Readings> weight,
    Optional<PackingList> packingList,
    OptionalDouble fibreBendMm,
    OptionalDouble fibreLeastMm) {

  public static final Arrival NOTHING_READ =
      new Arrival(
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty());

  public Arrival {
    var accepts = new Accepts();
    fibreBendMm.ifPresent(r -> accepts.positive("fibreBendMm", r, 10_000));
    fibreLeastMm.ifPresent(r -> accepts.positive("fibreLeastMm", r, 10_000));
    accepts.orThrow();
  }

  List<PartFinding> judge() {
    List<PartFinding> parts = new ArrayList<>();
    wayIn.ifPresent(w -> parts.addAll(WayIn.judge(w, WayIn.solve(w))));
    weight.ifPresent(w -> parts.add(Weight.judge(w, Weight.solve(w))));
    room.ifPresent(r -> parts.addAll(Room.judge(r)));
    packingList.ifPresent(p -> parts.addAll(p.judge()));
    fibre().ifPresent(parts::add);
    return parts;
  }

  private Optional<PartFinding> fibre() {
    if (fibreLeastMm.isEmpty()) {
      return Optional.empty();
    }
    if (fibreBendMm.isEmpty()) {
      return Optional.of(
          new PartFinding(
              Verdict.MEASURE_AGAIN,
              List.of(
                  Advice.read("site.arrival.read-tightest-bend").because("site.arrival.by-radius")),
              List.of()));
    }
    double bend = fibreBendMm.getAsDouble();
    double least = fibreLeastMm.getAsDouble();
    return bend < least
        ? Optional.of(
            PartFinding.stop(
                Advice.act("site.arrival.do-not-power")
                    .because(
                        "site.arrival.fibre-lies-bend",
                        Amount.plain(bend, Quantity.LENGTH),
                        Amount.plain(least, Quantity.LENGTH))))
        : Optional.empty();
  }
}
