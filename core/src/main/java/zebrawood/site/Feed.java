package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;

/**
 * What feeds the machine.
 *
 * @param earthOhm resistance from the frame to the plug's earth
 * @param earthLimitOhm the most that the local code or the data sheet allows
 * @param plugA what plug and cable are rated for
 * @param startUpA the rush when it is switched on, from the data sheet
 * @param fusePlateA the fuse that the plate names
 * @param fuseFittedA the fuse that was found in it
 */
public record Feed(
    OptionalDouble earthOhm,
    double earthLimitOhm,
    Optional<Circuit.Readings> circuit,
    OptionalDouble plugA,
    OptionalDouble startUpA,
    OptionalDouble fusePlateA,
    OptionalDouble fuseFittedA) {
  /** The usual breaker for sockets lets through three to five times its rating for a moment. */
  private static final double LETS_THROUGH = 3;

  public Feed {
    var accepts = new Accepts().positive("earthLimitOhm", earthLimitOhm, 10);
    earthOhm.ifPresent(r -> accepts.between("earthOhm", r, 0, 10_000_000));
    plugA.ifPresent(a -> accepts.positive("plugA", a, 1000));
    startUpA.ifPresent(a -> accepts.positive("startUpA", a, 10_000));
    fusePlateA.ifPresent(a -> accepts.positive("fusePlateA", a, 1000));
    fuseFittedA.ifPresent(a -> accepts.positive("fuseFittedA", a, 1000));
    accepts.orThrow();
  }

  List<Part> judge(Optional<Circuit.Finding> load) {
    List<Part> parts = new ArrayList<>();
    parts.add(earth());
    load.ifPresent(f -> {
      parts.add(Circuit.judge(circuit.orElseThrow(), f));
      if (plugA.isPresent() && f.amps() > plugA.getAsDouble()) {
        parts.add(
            Part.stop(
                "Do not run it from this plug: %s A through a plug for %s A. A licensed electrician decides."
                    .formatted(Numbers.fixed(f.amps(), 1), Numbers.plain(plugA.getAsDouble()))));
      }
    });
    startUp().ifPresent(parts::add);
    fuse().ifPresent(parts::add);
    return parts;
  }

  private Part earth() {
    if (earthOhm.isEmpty()) {
      return new Part(
          zebrawood.measure.Verdict.MEASURE_AGAIN,
          List.of("Read the earth from the frame to the plug's earth pin: it is never waived."),
          List.of());
    }
    double ohm = earthOhm.getAsDouble();
    return ohm > earthLimitOhm
        ? Part.stop(
            "Do not plug it in: the earth has %s ohm, limit %s. A licensed electrician puts it right."
                .formatted(Numbers.fixed(ohm, 2), Numbers.plain(earthLimitOhm)))
        : Part.within("The earth is in order.");
  }

  /** A note only: whether a breaker holds the rush depends on its kind and on the wiring. */
  private Optional<Part> startUp() {
    if (startUpA.isEmpty() || circuit.isEmpty()) {
      return Optional.empty();
    }
    double breakerA = circuit.get().breakerA();
    double rush = startUpA.getAsDouble();
    return rush > LETS_THROUGH * breakerA
        ? Optional.of(
            Part.within("The start-up current is noted.")
                .warning(
                    List.of(
                        "The rush of %s A may trip a %s A breaker as the machine is switched on: an electrician chooses a slower kind."
                            .formatted(Numbers.plain(rush), Numbers.plain(breakerA)))))
        : Optional.empty();
  }

  private Optional<Part> fuse() {
    if (fusePlateA.isEmpty()) {
      return Optional.empty();
    }
    double plate = fusePlateA.getAsDouble();
    if (fuseFittedA.isEmpty()) {
      return Optional.of(
          new Part(
              zebrawood.measure.Verdict.MEASURE_AGAIN,
              List.of("Read the fuse that is in it, unplugged: the plate names one."),
              List.of()));
    }
    double fitted = fuseFittedA.getAsDouble();
    return fitted == plate
        ? Optional.empty()
        : Optional.of(
            Part.stop(
                "Do not power it: a fuse of %s A is in it, the plate says %s A. Put in the right one, unplugged."
                    .formatted(Numbers.plain(fitted), Numbers.plain(plate))));
  }
}
