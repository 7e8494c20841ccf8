package zebrawood.desktop.stations;

import java.util.List;
import zebrawood.desktop.bed.BedWork;
import zebrawood.desktop.controller.ControllerWork;
import zebrawood.desktop.cooling.CoolingWork;
import zebrawood.desktop.field.FieldWork;
import zebrawood.desktop.focus.FocusWork;
import zebrawood.desktop.lens.LensWork;
import zebrawood.desktop.mirrors.MirrorsWork;
import zebrawood.desktop.power.PowerWork;
import zebrawood.desktop.site.SiteWork;
import zebrawood.desktop.solve.Solver;
import zebrawood.desktop.start.StartWork;
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
          FieldWork.DEFINITION,
          PowerWork.DEFINITION);

  public static List<Station> stations() {
    return ALL.stream().map(StationDefinition::station).toList();
  }

  public static List<Solver> solvers() {
    return ALL.stream().flatMap(m -> m.solvers().stream()).toList();
  }
}
