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
import zebrawood.words.Message;

/** The air that leaves the machine and the air that is blown on the work. */
public record Breathing(
    Optional<Duct.Readings> duct, BlowerAt blowerAt, Outlet outlet, Optional<AirAssist> airAssist) {

  /** Where along the run the blower sits. */
  public enum BlowerAt {
    OUTLET,
    MIDWAY,
    MACHINE
  }

  public enum Outlet {
    OUTDOORS,
    FILTER
  }

  /** What air assist is fed by. */
  public enum AirSource {
    PUMP,
    COMPRESSOR,
    BOTTLED
  }

  /**
   * Air assist as hardware.
   *
   * @param bar at the regulator while it blows; empty where there is no gauge
   * @param leastBar what the machine asks for
   */
  public record AirAssist(AirSource source, OptionalDouble bar, OptionalDouble leastBar) {
    public AirAssist {
      var accepts = new Accepts();
      bar.ifPresent(b -> accepts.between("bar", b, 0, 40));
      leastBar.ifPresent(b -> accepts.between("leastBar", b, 0, 40));
      accepts.orThrow();
    }
  }

  List<PartFinding> judge(Optional<Duct.Finding> ductFinding) {
    List<PartFinding> parts = new ArrayList<>();
    ductFinding.ifPresent(f -> {
      parts.add(Duct.judge(duct.orElseThrow(), f));
      if (blowerAt != BlowerAt.OUTLET && outlet == Outlet.OUTDOORS) {
        parts.add(
            PartFinding.adjust(
                Advice.act("site.breathing.move-blower-outlet")
                    .because("site.breathing.behind-duct-under")));
      }
      if (outlet == Outlet.FILTER) {
        parts.add(
            PartFinding.within(Advice.act("site.breathing.filter-unit-stays"))
                .warning(List.of(Message.of("site.breathing.filter-unit-gives"))));
      }
    });
    airAssist.ifPresent(a -> parts.addAll(judge(a)));
    return parts;
  }

  private static List<PartFinding> judge(AirAssist a) {
    if (a.bar.isEmpty() && a.leastBar.isPresent()) {
      return List.of(
          new PartFinding(
              Verdict.MEASURE_AGAIN,
              List.of(Advice.read("site.breathing.read-air-assist")),
              List.of()));
    }
    if (a.bar.isPresent()
        && a.leastBar.isPresent()
        && a.bar.getAsDouble() < a.leastBar.getAsDouble()) {
      return List.of(
          PartFinding.adjust(
              Advice.act("site.breathing.open-air-assist")
                  .because(
                      "site.breathing.asked",
                      Amount.plain(a.bar.getAsDouble(), Quantity.GAS_PRESSURE),
                      Amount.plain(a.leastBar.getAsDouble(), Quantity.GAS_PRESSURE))));
    }
    List<Message> warnings =
        a.source == AirSource.COMPRESSOR
            ? List.of(Message.of("site.breathing.compressor-oil-water"))
            : List.of();
    return List.of(
        PartFinding.within(Advice.act("site.breathing.air-assist-order")).warning(warnings));
  }
}
