package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;

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

  List<Part> judge() {
    List<Part> parts = new ArrayList<>();
    wayIn.ifPresent(w -> parts.addAll(WayIn.judge(w, WayIn.solve(w))));
    weight.ifPresent(w -> parts.add(Weight.judge(w, Weight.solve(w))));
    room.ifPresent(r -> parts.addAll(Room.judge(r)));
    packingList.ifPresent(p -> parts.addAll(p.judge()));
    fibre().ifPresent(parts::add);
    return parts;
  }

  private Optional<Part> fibre() {
    if (fibreLeastMm.isEmpty()) {
      return Optional.empty();
    }
    if (fibreBendMm.isEmpty()) {
      return Optional.of(
          new Part(
              Verdict.MEASURE_AGAIN,
              List.of("Read the tightest bend of the fibre cable, off: by its radius."),
              List.of()));
    }
    double bend = fibreBendMm.getAsDouble();
    double least = fibreLeastMm.getAsDouble();
    return bend < least
        ? Optional.of(
            Part.stop(
                "Do not power it: the fibre lies in a bend of %s mm radius, %s mm is the least. Lay it wider, and have it looked at if it was pinched."
                    .formatted(Numbers.plain(bend), Numbers.plain(least))))
        : Optional.empty();
  }
}
