package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;

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

  List<Part> judge(Optional<Duct.Finding> ductFinding) {
    List<Part> parts = new ArrayList<>();
    ductFinding.ifPresent(f -> {
      parts.add(Duct.judge(duct.orElseThrow(), f));
      if (blowerAt != BlowerAt.OUTLET && outlet == Outlet.OUTDOORS) {
        parts.add(
            Part.adjust(
                "Move the blower to the outlet: behind it the duct is under pressure and leaks smoke into the room."));
      }
      if (outlet == Outlet.FILTER) {
        parts.add(
            Part.within("The filter unit stays.")
                .warning(
                    List.of(
                        "A filter unit gives the air back to the room: local law says whether it may, and a loaded filter moves less than its curve.")));
      }
    });
    airAssist.ifPresent(a -> parts.addAll(judge(a)));
    return parts;
  }

  private static List<Part> judge(AirAssist a) {
    if (a.bar.isEmpty() && a.leastBar.isPresent()) {
      return List.of(
          new Part(
              Verdict.MEASURE_AGAIN,
              List.of("Read the air assist's gauge while it blows."),
              List.of()));
    }
    if (a.bar.isPresent()
        && a.leastBar.isPresent()
        && a.bar.getAsDouble() < a.leastBar.getAsDouble()) {
      return List.of(
          Part.adjust(
              "Open the air assist's regulator: %s bar, %s bar asked for."
                  .formatted(
                      Numbers.plain(a.bar.getAsDouble()),
                      Numbers.plain(a.leastBar.getAsDouble()))));
    }
    List<String> warnings =
        a.source == AirSource.COMPRESSOR
            ? List.of("A compressor's oil and water foul the lens: dry and filter its air.")
            : List.of();
    return List.of(Part.within("The air assist is in order.").warning(warnings));
  }
}
