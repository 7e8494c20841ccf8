package zebrawood.desktop.stations;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.desktop.bed.BedWork;
import zebrawood.desktop.controller.ControllerWork;
import zebrawood.desktop.cooling.CoolingWork;
import zebrawood.desktop.focus.FocusWork;
import zebrawood.desktop.lens.LensWork;
import zebrawood.desktop.mirrors.MirrorsWork;
import zebrawood.desktop.power.PowerWork;
import zebrawood.desktop.site.SiteWork;
import zebrawood.desktop.solve.Solver;
import zebrawood.desktop.start.StartWork;
import zebrawood.devices.picture.PictureFile;
import zebrawood.field.Field;
import zebrawood.field.FieldReadings;
import zebrawood.field.FieldScan;
import zebrawood.field.FieldScanReadings;
import zebrawood.field.Pointer;
import zebrawood.field.PointerReadings;
import zebrawood.ledger.Station;

/** The stations that are built, in the order of the work. */
public final class StationList {
  private StationList() {}

  public static final List<StationDefinition> ALL =
      List.of(
          SiteWork.DEFINITION,
          CoolingWork.DEFINITION,
          StartWork.DEFINITION,
          ControllerWork.DEFINITION,
          MirrorsWork.DEFINITION,
          BedWork.DEFINITION,
          FocusWork.DEFINITION,
          LensWork.DEFINITION,
          PowerWork.DEFINITION);

  /** Computations whose sheet is still to come. */
  private static final List<Solver> WITHOUT_A_SHEET =
      List.of(
          Solver.of("field", FieldReadings.class, Field::solve, Set.of()),
          Solver.of(
              "field-scan",
              FieldScanReadings.class,
              r -> FieldScan.solve(r, PictureFile.read("imagePath", r.imagePath())),
              Set.of()),
          Solver.of("pointer", PointerReadings.class, Pointer::solve, Set.of()));

  public static List<Station> stations() {
    return ALL.stream().map(StationDefinition::station).toList();
  }

  public static List<Solver> solvers() {
    return Stream.concat(ALL.stream().flatMap(m -> m.solvers().stream()), WITHOUT_A_SHEET.stream())
        .toList();
  }
}
