package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What feeds the machine.
 *
 * @param earthOhm resistance from the frame to the plug's earth
 * @param earthLimitOhm the most that the local code or the data sheet allows
 * @param plugA what plug and cable are rated for
 * @param startUpA the rush when it is switched on, from the data sheet
 * @param fusePlateA the fuse that the plate names
 * @param fuseFittedA the fuse that was found in it
 * @param askedA the circuit that its maker asks for
 * @param noEarthPin whether it is fed by an adapter without an earth pin, so that there is no earth
 *     to read; empty while nobody said so
 * @param adapterWhole whether that adapter was looked at: marked as double insulated, whole; empty
 *     while nobody looked
 */
public record Feed(
    OptionalDouble earthOhm,
    double earthLimitOhm,
    Optional<Circuit.Readings> circuit,
    OptionalDouble plugA,
    OptionalDouble startUpA,
    OptionalDouble fusePlateA,
    OptionalDouble fuseFittedA,
    OptionalDouble askedA,
    Optional<Boolean> noEarthPin,
    Optional<Boolean> adapterWhole) {
  /** The usual breaker for sockets lets through three to five times its rating for a moment. */
  private static final double LETS_THROUGH = 3;

  public Feed {
    var accepts = new Accepts().positive("earthLimitOhm", earthLimitOhm, 10);
    earthOhm.ifPresent(r -> accepts.between("earthOhm", r, 0, 10_000_000));
    plugA.ifPresent(a -> accepts.positive("plugA", a, 1000));
    startUpA.ifPresent(a -> accepts.positive("startUpA", a, 10_000));
    fusePlateA.ifPresent(a -> accepts.positive("fusePlateA", a, 1000));
    fuseFittedA.ifPresent(a -> accepts.positive("fuseFittedA", a, 1000));
    askedA.ifPresent(a -> accepts.positive("askedA", a, 1000));
    accepts.orThrow();
  }

  List<PartFinding> judge(Optional<Circuit.Finding> load) {
    List<PartFinding> parts = new ArrayList<>();
    parts.add(earth());
    load.ifPresent(f -> {
      parts.add(Circuit.judge(circuit.orElseThrow(), f));
      if (plugA.isPresent() && f.amps() > plugA.getAsDouble()) {
        parts.add(
            PartFinding.stop(
                Advice.act("site.feed.do-not-run")
                    .because(
                        "site.feed.through-plug-licensed",
                        Amount.of(f.amps(), Quantity.CURRENT, 1),
                        Amount.plain(plugA.getAsDouble(), Quantity.CURRENT))));
      }
    });
    asked().ifPresent(parts::add);
    startUp().ifPresent(parts::add);
    fuse().ifPresent(parts::add);
    return parts;
  }

  /** A breaker below what the maker asks for trips, or heats what was not made for it. */
  private Optional<PartFinding> asked() {
    if (askedA.isEmpty()) {
      return Optional.empty();
    }
    Amount asked = Amount.plain(askedA.getAsDouble(), Quantity.CURRENT);
    if (circuit.isEmpty()) {
      return Optional.of(
          PartFinding.again(
              Advice.read("site.feed.read-circuit").because("site.feed.maker-asks", asked)));
    }
    double breakerA = circuit.get().breakerA();
    return breakerA < askedA.getAsDouble()
        ? Optional.of(
            PartFinding.adjust(
                Advice.act("site.feed.own-circuit", asked)
                    .because("site.feed.breaker-is", Amount.plain(breakerA, Quantity.CURRENT))))
        : Optional.empty();
  }

  /** What has no earth is kept apart from the mains by its insulation alone. */
  private PartFinding adapter() {
    Message whole = Message.of("site.feed.adapter-whole");
    if (adapterWhole.isEmpty()) {
      return PartFinding.again(Advice.prove(whole));
    }
    return adapterWhole.get()
        ? PartFinding.within()
        : PartFinding.stop(Advice.act("site.feed.another-adapter").because("site.feed.insulation"));
  }

  private PartFinding earth() {
    if (noEarthPin.orElse(false) && earthOhm.isEmpty()) {
      return adapter().warning(Message.of("site.feed.no-earth-pin"));
    }
    if (earthOhm.isEmpty()) {
      return new PartFinding(
          zebrawood.measure.Verdict.MEASURE_AGAIN,
          List.of(Advice.read("site.feed.read-earth-from").because("site.feed.never-waived")),
          List.of());
    }
    double ohm = earthOhm.getAsDouble();
    return ohm > earthLimitOhm
        ? PartFinding.stop(
            Advice.act("site.feed.do-not-plug")
                .because(
                    "site.feed.earth-limit-licensed",
                    Amount.of(ohm, Quantity.RESISTANCE, 2),
                    Amount.plain(earthLimitOhm, Quantity.NUMBER)))
        : PartFinding.within(Advice.act("site.feed.earth-order"));
  }

  /** A note only: whether a breaker holds the rush depends on its kind and on the wiring. */
  private Optional<PartFinding> startUp() {
    if (startUpA.isEmpty() || circuit.isEmpty()) {
      return Optional.empty();
    }
    double breakerA = circuit.get().breakerA();
    double rush = startUpA.getAsDouble();
    return rush > LETS_THROUGH * breakerA
        ? Optional.of(
            PartFinding.within(Advice.act("site.feed.start-up-current"))
                .warning(
                    List.of(
                        Message.of(
                            "site.feed.rush-may-trip",
                            Amount.plain(rush, Quantity.CURRENT),
                            Amount.plain(breakerA, Quantity.CURRENT)))))
        : Optional.empty();
  }

  private Optional<PartFinding> fuse() {
    if (fusePlateA.isEmpty()) {
      return Optional.empty();
    }
    double plate = fusePlateA.getAsDouble();
    if (fuseFittedA.isEmpty()) {
      return Optional.of(
          new PartFinding(
              zebrawood.measure.Verdict.MEASURE_AGAIN,
              List.of(
                  Advice.read("site.feed.read-fuse-unplugged")
                      .because("site.feed.plate-names-one")),
              List.of()));
    }
    double fitted = fuseFittedA.getAsDouble();
    return fitted == plate
        ? Optional.empty()
        : Optional.of(
            PartFinding.stop(
                Advice.act("site.feed.do-not-power")
                    .because(
                        "site.feed.fuse-plate-says",
                        Amount.plain(fitted, Quantity.CURRENT),
                        Amount.plain(plate, Quantity.CURRENT))));
  }
}
