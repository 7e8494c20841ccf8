package zebrawood.desktop.stations;

import java.util.List;
import zebrawood.desktop.bed.BedWork;
import zebrawood.desktop.controller.ControllerWork;
import zebrawood.desktop.cooling.CoolingWork;
import zebrawood.desktop.mirrors.MirrorsWork;
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
          BedWork.DEFINITION);

  public static List<Station> stations() {
    return ALL.stream().map(StationDefinition::station).toList();
  }

  public static List<Solver> solvers() {
    return java.util.stream.Stream.concat(ALL.stream().flatMap(m -> m.solvers().stream()), java.util.stream.Stream.of(
      Solver.of("focus-ramp", zebrawood.focus.RampReadings.class, zebrawood.focus.Ramp::solve, java.util.Set.of()),
      Solver.of("focus-ramp-photo", zebrawood.focus.RampPhotoReadings.class, r -> zebrawood.focus.RampPhoto.solve(r, zebrawood.devices.picture.PictureFile.read("imagePath", r.imagePath())), java.util.Set.of()),
      Solver.of("focus-ladder", zebrawood.focus.LadderReadings.class, zebrawood.focus.Ladder::solve, java.util.Set.of()),
      Solver.of("lens", zebrawood.lens.LensReadings.class, zebrawood.lens.LensOptics::solve, java.util.Set.of()))).toList();
  }
}
